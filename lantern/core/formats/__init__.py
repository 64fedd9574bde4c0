"""One codec a file: core values to bytes and back, and report tables to files."""
