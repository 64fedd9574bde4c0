"""Questions pasted as plain text, in the layouts that people make by hand."""

from lantern.core.formats.pasted.blocks import belongs
from lantern.core.formats.pasted.reader import read_pasted

__all__ = ["belongs", "read_pasted"]
