"""The rules of the job, as pure functions: no Django, no sockets, no files, no clock.

Time (`now`, milliseconds since 1970 in UTC), randomness (a seeded `random.Random`) and bytes come
in as arguments; values and bytes go out.
"""
