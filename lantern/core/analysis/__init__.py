"""Responses in, plain tables and measures out. Works on the public names of the session."""
