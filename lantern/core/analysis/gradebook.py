"""A grade book: the marks of several sessions, put together as a teacher wants it (docs/measures.md, O1 to O9)."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import UTC, datetime
from decimal import ROUND_CEILING, ROUND_FLOOR, ROUND_HALF_UP, Decimal
from math import fsum
from typing import Annotated, Literal, Self

from pydantic import Field, field_validator, model_validator

from lantern.core.errors import NotReady
from lantern.core.formats.table import Look, ToldCell, ToldTable
from lantern.core.messages import Message, said
from lantern.core.values import Milliseconds, RowNumber, Value, Written

Missed = Literal["left_out", "zero"]
Rounding = Literal["half_up", "up", "down"]
Step = Literal["none", "0.1", "0.5", "1", "5"]
_WAYS = {"half_up": ROUND_HALF_UP, "up": ROUND_CEILING, "down": ROUND_FLOOR}


class GradeColumn(Value):
    """A session that counts, and how much."""

    session: RowNumber
    weight: Annotated[float, Field(ge=0, le=100)] = 1.0


class GradeBound(Written):
    """From this percentage on there is this grade."""

    at_least: Annotated[float, Field(ge=0, le=100)]
    grade: Annotated[str, Field(min_length=1, max_length=12)]


class Scheme(Written):
    """How grades are made. `drop_lowest` is how many of each student's lowest results are left out; `missed` what a
    session counts in which somebody did not take part. A total is a percentage, rounded to `step`, and has the grade of
    the highest bound that it reaches; below all of them it has none."""

    columns: Annotated[tuple[GradeColumn, ...], Field(max_length=200)] = ()
    drop_lowest: Annotated[int, Field(ge=0, le=20)] = 0
    missed: Missed = "left_out"
    step: Step = "1"
    rounding: Rounding = "half_up"
    scale: Annotated[tuple[GradeBound, ...], Field(max_length=30)] = ()

    @field_validator("columns")
    @classmethod
    def _each_once(cls, columns: tuple[GradeColumn, ...]) -> tuple[GradeColumn, ...]:
        return tuple({column.session: column for column in columns}.values())

    @model_validator(mode="after")
    def _from_the_top(self) -> Self:
        ordered = tuple(sorted(self.scale, key=lambda bound: -bound.at_least))
        if ordered != self.scale:
            object.__setattr__(self, "scale", ordered)
        return self


@dataclass(frozen=True, slots=True)
class Result:
    """One student in one session: the sum of marks, and of how many. What waits for a mark by hand is in neither."""

    score: float
    out_of: int

    @property
    def share(self) -> float:
        return self.score / self.out_of


@dataclass(frozen=True, slots=True)
class BookSession:
    """`results` are by student, of those who took part and were asked something that counts. `waiting` is how many of
    its answers have no mark by hand yet."""

    id: int
    title: str
    at: Milliseconds
    waiting: int
    results: Mapping[str, Result]


@dataclass(frozen=True, slots=True)
class BookStudent:
    id: str
    name: str
    record_id: str = ""


class BookCell(Value):
    """`share` is None for who did not take part; `dropped`: it is one of the lowest, and left out."""

    share: float | None
    score: float | None
    out_of: int
    dropped: bool


class BookLine(Value):
    """`cells` run along the columns. `exact` is the total as a percentage before it is rounded, None where nothing
    counts; `grade` is empty where there is none."""

    student: str
    name: str
    record_id: str
    cells: tuple[BookCell, ...]
    exact: float | None
    total: float | None
    grade: str


class BookColumn(Value):
    session: int
    title: str
    at: Milliseconds
    weight: float
    waiting: int
    mean: float | None


class Book(Value):
    """`mean` is of the totals as they are shown; `grades` is how many have each grade, from the top of the scale."""

    columns: tuple[BookColumn, ...]
    lines: tuple[BookLine, ...]
    mean: float | None
    grades: tuple[tuple[str, int], ...]


def book_of(scheme: Scheme, sessions: Sequence[BookSession], students: Sequence[BookStudent]) -> Book:
    """`sessions` may be more than the scheme has, and those that it has and that are gone are left out of it."""
    known = {session.id: session for session in sessions}
    columns = [(known[column.session], column.weight) for column in scheme.columns if column.session in known]
    lines = tuple(_line(scheme, columns, student) for student in students)
    totals = [line.total for line in lines if line.total is not None]
    return Book(
        columns=tuple(_column(session, weight) for session, weight in columns),
        lines=lines,
        mean=fsum(totals) / len(totals) if totals else None,
        grades=tuple((bound.grade, sum(line.grade == bound.grade for line in lines)) for bound in scheme.scale),
    )


def _column(session: BookSession, weight: float) -> BookColumn:
    shares = [result.share for result in session.results.values() if result.out_of]
    return BookColumn(
        session=session.id,
        title=session.title,
        at=session.at,
        weight=weight,
        waiting=session.waiting,
        mean=fsum(shares) / len(shares) if shares else None,
    )


def _line(scheme: Scheme, columns: Sequence[tuple[BookSession, float]], student: BookStudent) -> BookLine:
    found = [session.results.get(student.id) for session, _ in columns]
    shares = [result.share if result and result.out_of else None for result in found]
    counted = [
        (place, 0.0 if share is None else share, weight)
        for place, (share, (_, weight)) in enumerate(zip(shares, columns, strict=True))
        if weight > 0 and (share is not None or scheme.missed == "zero")
    ]
    dropped = _lowest(counted, scheme.drop_lowest)
    kept = [(share, weight) for place, share, weight in counted if place not in dropped]
    weights = fsum(weight for _, weight in kept)
    exact = 100 * fsum(share * weight for share, weight in kept) / weights if weights else None
    total = None if exact is None else rounded(exact, scheme.step, scheme.rounding)
    return BookLine(
        student=student.id,
        name=student.name,
        record_id=student.record_id,
        cells=tuple(
            BookCell(
                share=share,
                score=result.score if result else None,
                out_of=result.out_of if result else 0,
                dropped=place in dropped,
            )
            for place, (share, result) in enumerate(zip(shares, found, strict=True))
        ),
        exact=exact,
        total=total,
        grade=grade_of(total, scheme.scale),
    )


def _lowest(counted: Sequence[tuple[int, float, float]], many: int) -> set[int]:
    """Places of the lowest shares; of equal ones that which weighs less, then the earlier. One is always left."""
    by_share = sorted(counted, key=lambda one: (one[1], one[2], one[0]))
    return {place for place, _, _ in by_share[: min(many, len(counted) - 1)]} if counted else set()


def rounded(percent: float, step: Step, rounding: Rounding) -> float:
    """In decimal figures: 66.5 is the half that it looks like. What a sum of fractions misses by 1e-9 is no half less
    and no step more."""
    exact = Decimal(repr(round(percent, 9)))
    if step == "none":
        return float(exact)
    unit = Decimal(step)
    return float((exact / unit).quantize(Decimal(1), _WAYS[rounding]) * unit)


def grade_of(total: float | None, scale: Sequence[GradeBound]) -> str:
    """`scale` runs from its top down."""
    if total is None:
        return ""
    return next((bound.grade for bound in scale if total >= bound.at_least), "")


def check_scheme(scheme: Scheme) -> None:
    """Raises NotReady where two bounds are the same."""
    bounds = [bound.at_least for bound in scheme.scale]
    if len(set(bounds)) != len(bounds):
        raise NotReady(said("bounds_alike", "Two grades begin at the same percentage."), field="scale")


# --- as tables -----------------------------------------------------------------------------------------

NAME, RECORD_ID = said("heading_name", "Name"), said("heading_record_id", "Record ID")


def book_table(book: Book, scheme: Scheme, name: str) -> ToldTable:
    """Shares, totals and grades; below them what they are made of."""
    ids = any(line.record_id for line in book.lines)
    headings = (
        NAME,
        *([RECORD_ID] if ids else ()),
        *(column.title for column in book.columns),
        said("heading_total", "Total in percent"),
        *([said("heading_grade", "Grade")] if scheme.scale else ()),
        said("heading_left_out", "Left out"),
    )
    rows: list[tuple[ToldCell, ...]] = [_row(line, book, ids=ids, graded=bool(scheme.scale)) for line in book.lines]
    blank: list[ToldCell] = [None] * (1 if ids else 0)
    rows.append((said("heading_mean", "Mean"), *blank, *(column.mean for column in book.columns), book.mean))
    rows += [(sentence,) for sentence in said_of(book, scheme)]
    looks: list[Look] = ["", *([""] if ids else []), *(["percent"] * len(book.columns))]  # type: ignore[list-item]
    return ToldTable(said("sheet_grades", "Grades"), headings, rows, looks, about=name)


def _row(line: BookLine, book: Book, *, ids: bool, graded: bool) -> tuple[ToldCell, ...]:
    left_out = (c.title for c, cell in zip(book.columns, line.cells, strict=True) if cell.dropped)
    return (
        line.name,
        *([line.record_id] if ids else ()),
        *(cell.share for cell in line.cells),
        line.total,
        *([line.grade or None] if graded else ()),
        ", ".join(left_out) or None,
    )


def made_of_table(book: Book) -> ToldTable:
    """What the columns are."""
    headings = (
        said("heading_session", "Session"),
        said("heading_day", "Day (UTC)"),
        said("heading_weight", "Weight"),
        said("heading_waiting", "Without a mark yet"),
    )
    rows: list[tuple[ToldCell, ...]] = [
        (one.title, datetime.fromtimestamp(one.at / 1000, UTC), one.weight, one.waiting) for one in book.columns
    ]
    return ToldTable(said("sheet_made_of", "Made of"), headings, rows)


def said_of(book: Book, scheme: Scheme) -> list[Message]:
    """How the totals are made, sentence by sentence."""
    found = [MISSED[scheme.missed]]
    if scheme.drop_lowest:
        found.append(
            said(
                "book_drops",
                "Of each student's results the lowest are left out: {count}, and never the last.",
                count=scheme.drop_lowest,
            )
        )
    found.append(
        NOT_ROUNDED
        if scheme.step == "none"
        else said("book_rounds", "Totals are rounded to {step} percent, {way}.", step=scheme.step,
                  way=WAYS[scheme.rounding])
    )  # fmt: skip
    waiting = sum(column.waiting for column in book.columns)
    if waiting:
        found.append(
            said("book_waits", "{count} answers have no mark by hand yet: they are in no total.", count=waiting)
        )
    return found


MISSED: dict[Missed, Message] = {
    "left_out": said("book_missed_left_out", "A session in which somebody did not take part does not count for them."),
    "zero": said("book_missed_zero", "A session in which somebody did not take part counts 0 for them."),
}
NOT_ROUNDED = said("book_not_rounded", "Totals are not rounded.")
WAYS: dict[Rounding, Message] = {
    "half_up": said("rounds_half_up", "halves up"),
    "up": said("rounds_up", "always up"),
    "down": said("rounds_down", "always down"),
}
