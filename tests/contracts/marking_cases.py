"""The tables of docs/marking, as rows."""

import re
from dataclasses import dataclass

from tools.server import ROOT

_UNSEEN = str.maketrans({"␣": "\u00a0", "⌁": "\u200b"})


@dataclass(frozen=True)
class Case:
    """`cells` are the columns of the table by heading; texts stand without their quotes."""

    place: str
    cells: dict[str, str]

    def __getitem__(self, heading: str) -> str:
        return self.cells[heading]


def cases_of(name: str) -> list[Case]:
    """Every row of every table of one page, in order."""
    headings: list[str] = []
    found = []
    for number, line in enumerate((ROOT / f"docs/marking/{name}.md").read_text().splitlines(), start=1):
        if not line.startswith("| ") and not line.startswith("|-"):
            continue
        cells = [_text(cell) for cell in line.strip("|").split("|")]
        if cells[0] == "promise":
            headings = cells
        elif not line.startswith("|-"):
            found.append(Case(f"{name}:{number}", dict(zip(headings, cells, strict=True))))
    return found


def _text(cell: str) -> str:
    """A text in backticks as it is (its own backticks want two), anything else without space around it."""
    quoted = re.fullmatch(r"\s*(?:``\s(?P<two>.*)\s``|`(?P<one>[^`]*)`)\s*", cell)
    if not quoted:
        return cell.strip()
    return (quoted["two"] or quoted["one"] or "").translate(_UNSEEN)
