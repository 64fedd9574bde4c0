"""What a teacher said the columns of a spreadsheet hold: kept for those with the same headings, for her alone."""

from collections.abc import Mapping, Sequence
from hashlib import sha256

from lantern.server.accounts.models import ColumnUses, Teacher


def uses_for(teacher: Teacher, of: str, headings: Sequence[str], chosen: Mapping[str, str]) -> Mapping[str, str]:
    """From a column's number (as text, from 0) to its use: what was chosen now, which is kept; else what was chosen
    before; else nothing. `of` tells lists of other things apart. Where there are no headings it goes by how many
    columns there are."""
    if not headings:
        return {}
    chosen = {number: use for number, use in chosen.items() if number.isdecimal()}
    digest = sha256((of + "\n".join(headings)).encode()).hexdigest()
    if chosen:
        ColumnUses.objects.update_or_create(teacher=teacher, headings=digest, defaults={"uses": chosen})
        return chosen
    kept = ColumnUses.objects.filter(teacher=teacher, headings=digest).first()
    return kept.uses if kept else {}
