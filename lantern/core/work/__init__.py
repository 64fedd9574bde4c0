"""Set work: the same paper as in a session at own pace, done alone and in one's own time (docs/set-work.md).

An attempt is a session of one: the same commands, events and rules. What is told here besides is what the terms of the
work, and what was changed in them for somebody, make of it at a moment.
"""
