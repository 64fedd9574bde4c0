"""Grades in OneRoster's CSV binding, version 1.2 (1EdTech): line items and results, as a zip of tables.

Students and classes are named by the same ids as in the rosters that `oneroster.py` writes, or that were read: a system
that has those knows who is meant. docs/formats.md says what stands where.
"""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import UTC, datetime
from io import BytesIO
from zipfile import ZIP_DEFLATED, ZipFile

from lantern.core.formats.oneroster import STATUS, manifest, written

_TABLES: dict[str, tuple[str, ...]] = {
    "categories": (*STATUS, "title", "weight"),
    "lineItems": (*STATUS, "title", "description", "assignDate", "dueDate", "classSourcedId", "categorySourcedId",
                  "gradingPeriodSourcedId", "resultValueMin", "resultValueMax", "schoolSourcedId"),
    "results": (*STATUS, "lineItemSourcedId", "studentSourcedId", "scoreStatus", "score", "scoreDate", "comment",
                "textScore", "classSourcedId", "inProgress", "incomplete", "late", "missing"),
}  # fmt: skip
TOTAL = "total"


@dataclass(frozen=True, slots=True)
class GradeLine:
    """A line item: a session, or the total. `scores` are by student, None for who has none; `grades` beside them, where
    there are any. `partial`: some of its answers wait for a mark."""

    id: str
    title: str
    day: datetime
    weight: float
    most: float
    partial: bool
    scores: Mapping[str, float | None]
    grades: Mapping[str, str]


def write_grades(book: str, title: str, class_id: str, lines: Sequence[GradeLine]) -> bytes:
    """`book` is an id of its own, the same each time it is written: results are found again by it."""
    category = f"{book}-category"
    tables: dict[str, list[dict[str, str]]] = {
        "categories": [{"sourcedId": category, "title": title, "weight": "1"}],
        "lineItems": [],
        "results": [],
    }
    for line in lines:
        line_id = f"{book}-{line.id}"
        day = f"{line.day.astimezone(UTC):%Y-%m-%d}"
        tables["lineItems"].append(
            {"sourcedId": line_id, "title": line.title, "description": f"Weight {line.weight:g}", "assignDate": day,
             "dueDate": day, "classSourcedId": class_id, "categorySourcedId": category, "resultValueMin": "0",
             "resultValueMax": f"{line.most:g}", "schoolSourcedId": "school"}
        )  # fmt: skip
        for student, score in line.scores.items():
            graded = "partially graded" if line.partial else "fully graded"
            tables["results"].append(
                {"sourcedId": f"{line_id}-{student}", "lineItemSourcedId": line_id, "studentSourcedId": student,
                 "scoreStatus": "not submitted" if score is None else graded,
                 "score": "" if score is None else f"{score:.6g}", "scoreDate": day,
                 "textScore": line.grades.get(student, ""), "classSourcedId": class_id,
                 "incomplete": "true" if line.partial else "false", "missing": "true" if score is None else "false"}
            )  # fmt: skip
    buffer = BytesIO()
    with ZipFile(buffer, "w", ZIP_DEFLATED) as archive:
        archive.writestr("manifest.csv", manifest(_TABLES, "1.2"))
        for name, headings in _TABLES.items():
            archive.writestr(f"{name}.csv", written(headings, tables[name]))
    return buffer.getvalue()
