"""How far the scores of a session can be relied on, with what that means (docs/measures.md, J9 to J12)."""

from typing import Literal

from lantern.core.analysis.measures import Marks, Range, alpha_range, cronbach_alpha, measurement_error
from lantern.core.messages import Message, said
from lantern.core.values import Value

FEW, WIDE = 10, 0.4
GOOD, FAIR = 0.8, 0.6
MEANINGS = {
    "good": said(
        "reliability_good", "The questions measure much the same: who had a higher score would likely have it again."
    ),
    "fair": said(
        "reliability_fair",
        "The questions measure something in common: large differences between scores tell, small ones do not.",
    ),
    "poor": said(
        "reliability_poor",
        "The questions have little in common: look at single questions, and compare no scores by this.",
    ),
}


class Reliability(Value):
    """`alpha` and `error`, the standard error of measurement in marks, are None where they cannot be said. `name` is
    KR-20 where all marks are 0 and 1. `students` are those who were asked everything. Alpha may lie from `low` to
    `high`."""

    name: Literal["alpha", "kr20"]
    alpha: float | None
    low: float | None
    high: float | None
    error: float | None
    students: int
    meaning: Message | None
    warning: Message | None


def reliability_of(marks: Marks) -> Reliability:
    alpha = cronbach_alpha(marks)
    reach = None if alpha is None else alpha_range(alpha, len(marks), len(marks[0]))
    return Reliability(
        name="kr20" if all(mark in (0, 1) for row in marks for mark in row) else "alpha",
        alpha=alpha,
        low=reach.low if reach else None,
        high=reach.high if reach else None,
        error=measurement_error(marks),
        students=len(marks),
        meaning=None if alpha is None else MEANINGS["good" if alpha >= GOOD else "fair" if alpha >= FAIR else "poor"],
        warning=_warning(len(marks), reach),
    )


def _warning(students: int, reach: Range | None) -> Message | None:
    if students < FEW:
        return said(
            "few_were_asked_all",
            "Only {count} were asked everything: a single student moves these figures by much.",
            count=students,
        )
    if reach and reach.high - reach.low > WIDE:
        return said("reliability_is_vague", "With so few students and questions that says little.")
    return None
