"""Questions pasted as plain text, in the layouts that people make by hand."""
