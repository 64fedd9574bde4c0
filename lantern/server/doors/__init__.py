"""The doors of the server: who may hold a line to it, how fast it may speak, how many files may be open."""
