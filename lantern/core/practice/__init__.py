"""Practice over days: when a question of a student's deck comes back, and what is asked today.

It counts in days of the school's calendar (`Day`), since nobody practises at the same minute every day.
"""
