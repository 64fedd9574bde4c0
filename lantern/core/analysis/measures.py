"""Measures of classical test theory, on a table of marks.

`marks` is a list of rows, one for each student, with one mark in 0..1 for each question; a question
that was not answered counts 0.
"""

from collections.abc import Sequence
from statistics import fmean, pvariance

Marks = Sequence[Sequence[float]]


LEAST_VARIANCE = 1e-9
"""Sums that vary less than this do not vary: thirds as floats never add up to quite the same."""
MOST_BARS = 20


def cronbach_alpha(marks: Marks) -> float | None:
    """Internal consistency; for marks of 0 and 1 it equals KR-20. None where it has no meaning.

    alpha = k / (k - 1) * (1 - sum of item variances / variance of sums), k items.
    Cronbach, L. J. (1951). Coefficient alpha and the internal structure of tests. Psychometrika 16, 297-334.
    """
    if len(marks) < 2 or len(marks[0]) < 2:
        return None
    total = pvariance([sum(row) for row in marks])
    if total < LEAST_VARIANCE:
        return None
    items = len(marks[0])
    within = sum(pvariance(column) for column in zip(*marks, strict=True))
    return items / (items - 1) * (1 - within / total)


def mean(values: Sequence[float]) -> float | None:
    return fmean(values) if values else None


def score_bars(scores: Sequence[float], top: int) -> list[int]:
    """How many reached each score from 0 to `top`, part marks rounded down; above MOST_BARS questions, how many fall
    into each of MOST_BARS equal steps, the last of which includes `top`."""
    bars = top + 1 if top <= MOST_BARS else MOST_BARS
    counts = [0] * bars
    for score in scores:
        step = score if top <= MOST_BARS else score / top * bars
        counts[min(bars - 1, int(step + 1e-9))] += 1
    return counts
