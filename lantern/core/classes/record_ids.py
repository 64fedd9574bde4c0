"""Record IDs: an e-mail address or the school's own number, by which results of one person are put together.

1. It is kept as it was written; two are the same where they differ by case and spaces alone (`record_key`).
2. It is told to whoever may see it in a report, and to no device.
"""

import unicodedata

from lantern.core.errors import BadName
from lantern.core.messages import said

LONGEST = 100


def clean_record_id(text: str) -> str:
    """The ID as it is kept; empty for none. Raises BadName."""
    plain = unicodedata.normalize("NFKC", text)
    kept = " ".join("".join(c for c in plain if c.isspace() or unicodedata.category(c)[0] != "C").split())
    if len(kept) > LONGEST:
        raise BadName(
            said("record_id_too_long", "A record ID has at most {most} characters.", most=LONGEST), field="record_id"
        )
    return kept


def record_key(record_id: str) -> str:
    """What two ways of writing the same ID have in common."""
    return "".join(unicodedata.normalize("NFKC", record_id).casefold().split())
