"""Rarer ways of writing, made usual before a text is cut. A new one is a function and a line in `tidy.py`."""
