"""Measures of classical test theory, on a table of marks.

`marks` is a list of rows, one for each student, with one mark in 0..1 for each question; a question
that was not answered counts 0.
"""

from collections.abc import Sequence
from statistics import fmean, pvariance

Marks = Sequence[Sequence[float]]


def cronbach_alpha(marks: Marks) -> float | None:
    """Internal consistency; for marks of 0 and 1 it equals KR-20. None where it has no meaning.

    alpha = k / (k - 1) * (1 - sum of item variances / variance of sums), k items.
    Cronbach, L. J. (1951). Coefficient alpha and the internal structure of tests. Psychometrika 16, 297-334.
    """
    if len(marks) < 2 or len(marks[0]) < 2:
        return None
    total = pvariance([sum(row) for row in marks])
    if total == 0:
        return None
    items = len(marks[0])
    within = sum(pvariance(column) for column in zip(*marks, strict=True))
    return items / (items - 1) * (1 - within / total)


def mean(values: Sequence[float]) -> float | None:
    return fmean(values) if values else None


def histogram(values: Sequence[float], top: float, bins: int) -> list[int]:
    """How many of `values` (0..top) fall into each of `bins` equal steps; the last includes `top`."""
    counts = [0] * bins
    for value in values:
        counts[min(bins - 1, int(value / top * bins))] += 1
    return counts
