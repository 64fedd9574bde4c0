"""How students can be known."""

from typing import Literal

Known = Literal["nobody", "nickname", "made_up", "list", "record_id"]
"""As guests with a number; by a nickname they type, or one that is made for them; as a member picked from the class
list (or by a pass phrase); by a record ID, with a name beside it."""
