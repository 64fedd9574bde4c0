"""Measures of classical test theory, on plain numbers (docs/measures.md).

`marks` is a list of rows, one for each student, with one mark in 0..1 for each question; a question that was not
answered counts 0. What cannot be said is None.
"""

from collections.abc import Sequence
from itertools import groupby
from math import exp, log, sqrt
from statistics import fmean
from typing import NamedTuple

Marks = Sequence[Sequence[float]]


LEAST_VARIANCE = 1e-9
"""Sums that vary less than this do not vary: thirds as floats never add up to quite the same."""
MOST_BARS = 20
SURE = 1.959963984540054
"""Standard errors to each side of a value that hold 95 % of a normal distribution."""


class Range(NamedTuple):
    """From where to where a figure may lie, with 95 % confidence."""

    low: float
    high: float


def cronbach_alpha(marks: Marks) -> float | None:
    """Internal consistency; for marks of 0 and 1 it equals KR-20. None where it has no meaning.

    alpha = k / (k - 1) * (1 - sum of item variances / variance of sums), k items.
    Cronbach, L. J. (1951). Coefficient alpha and the internal structure of tests. Psychometrika 16, 297-334.
    """
    if len(marks) < 2 or len(marks[0]) < 2:
        return None
    total = variance([sum(row) for row in marks])
    if total < LEAST_VARIANCE:
        return None
    items = len(marks[0])
    within = sum(variance(column) for column in zip(*marks, strict=True))
    return items / (items - 1) * (1 - within / total)


def alpha_range(alpha: float, students: int, items: int) -> Range | None:
    """Where alpha may lie, for such students: ln(1 - alpha) ± 1.96 * sqrt(2k / ((k - 1)(n - 2))).

    Bonett, D. G. (2002). Sample size requirements for testing and estimating coefficient alpha. Journal of Educational
    and Behavioral Statistics 27, 335-340.
    """
    if students < 3 or items < 2 or alpha >= 1:
        return None
    reach = SURE * sqrt(2 * items / ((items - 1) * (students - 2)))
    middle = log(1 - alpha)
    return Range(1 - exp(middle + reach), 1 - exp(middle - reach))


def measurement_error(marks: Marks) -> float | None:
    """The standard error of measurement, in marks: the deviation of scores * sqrt(1 - alpha).

    Lord, F. M. and Novick, M. R. (1968). Statistical theories of mental test scores, section 3.8.
    """
    alpha = cronbach_alpha(marks)
    return None if alpha is None else sqrt(variance([sum(row) for row in marks])) * sqrt(max(0.0, 1 - alpha))


def discriminations(marks: Marks) -> list[float | None]:
    """For each question the corrected item-total correlation: of its marks with the sums of all others' (Pearson's r).

    Henrysson, S. (1963). Correction of item-total correlations in item analysis. Psychometrika 28, 211-218.
    """
    sums = [sum(row) for row in marks]
    return [_discrimination(column, sums) for column in zip(*marks, strict=True)]


def _discrimination(column: Sequence[float], sums: Sequence[float]) -> float | None:
    others = [total - mark for total, mark in zip(sums, column, strict=True)]
    product = variance(column) * variance(others)
    if product < LEAST_VARIANCE**2:
        return None
    mine, theirs = fmean(column), fmean(others)
    together = fmean([(a - mine) * (b - theirs) for a, b in zip(column, others, strict=True)])
    return max(-1.0, min(1.0, together / sqrt(product)))


def thirds_of(scores: Sequence[float]) -> list[int]:
    """For each the third of the class that it lies in: 0 the lowest, 2 the highest. Equal scores lie in the same, so
    thirds may differ in size: a third is where the middle of those who are equal falls."""
    order = sorted(range(len(scores)), key=scores.__getitem__)
    thirds, before = [0] * len(scores), 0
    for _, same in groupby(order, key=scores.__getitem__):
        alike = list(same)
        middle = before + len(alike) / 2
        for index in alike:
            thirds[index] = min(2, int(3 * middle / len(scores)))
        before += len(alike)
    return thirds


def share_range(share: float, count: int) -> Range | None:
    """Where a share of `count` may lie. For part marks it is a little too wide: they vary less than right and wrong.

    Wilson, E. B. (1927). Probable inference, the law of succession, and statistical inference. Journal of the American
    Statistical Association 22, 209-212.
    """
    if not count:
        return None
    weight = SURE**2 / count
    middle = (share + weight / 2) / (1 + weight)
    reach = SURE / (1 + weight) * sqrt(share * (1 - share) / count + weight / (4 * count))
    return Range(max(0.0, middle - reach), min(1.0, middle + reach))


def variance(values: Sequence[float]) -> float:
    """Of these values themselves (divided by n). The library works in fractions, exactly, and thirty times as long."""
    middle = fmean(values)
    return fmean([(value - middle) ** 2 for value in values])


def mean(values: Sequence[float]) -> float | None:
    return fmean(values) if values else None


def spread(values: Sequence[float]) -> float | None:
    """The standard deviation of these values: they are the whole class, not a sample of one."""
    return sqrt(variance(values)) if len(values) > 1 else None


def score_bars(scores: Sequence[float], top: int) -> list[int]:
    """How many reached each score from 0 to `top`, part marks rounded down; above MOST_BARS questions, how many fall
    into each of MOST_BARS equal steps, the last of which includes `top`."""
    bars = top + 1 if top <= MOST_BARS else MOST_BARS
    counts = [0] * bars
    for score in scores:
        step = score if top <= MOST_BARS else score / top * bars
        counts[min(bars - 1, int(step + 1e-9))] += 1
    return counts
