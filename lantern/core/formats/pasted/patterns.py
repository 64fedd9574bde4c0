"""What several modules look for in a line."""

import re

from lantern.core.formats.sayings import words

ASKS_WITHIN = re.compile(r"[?？؟](?:\s|$)|__")
"""A question mark, or a gap."""
_NUMBER = r"\d{1,3}"
WORTH = rf"[(\[]\s*{_NUMBER}\s*(?:{words('points')})?\.?\s*[)\]]"
"""What a question is worth, in brackets: "(2 points)", "[2]"."""
POINTS = rf"[(\[]\s*{_NUMBER}\s*(?:{words('points')})\.?\s*[)\]]"
"""The same, said with a word."""
CELL_OF_OPTION = re.compile(r"^\(?([A-La-l])[.)]\s")
"""A cell, or a half of a pair, that is a lettered option."""
