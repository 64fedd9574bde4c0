"""A part of the results: those of one class or group, the questions of one topic (docs/measures.md, J3)."""

from collections.abc import Iterable, Set
from dataclasses import replace

from lantern.core.analysis.results import Absent, Asked, Person, Results
from lantern.core.values import Value


class Only(Value):
    """What is looked at; what is empty leaves nothing out."""

    of_class: str = ""
    group: str = ""
    topic: str = ""


class ReportParts(Value):
    """What results can be narrowed to, each in the order of its names."""

    classes: tuple[str, ...]
    groups: tuple[str, ...]
    topics: tuple[str, ...]


def parts_of(results: Results) -> ReportParts:
    """A part that would leave nothing out is none."""
    everybody: list[Person | Absent] = [*results.people, *results.absent]
    return ReportParts(
        classes=_several({one.of_class for one in everybody}),
        groups=_in_order(one.group for one in everybody),
        topics=_in_order(tag for ask in results.standing for tag in ask.item.tags),
    )


def narrowed(results: Results, only: Only) -> Results:
    """What is left of it: the people with their answers, the absent, the questions."""
    if only == Only():
        return results
    people = tuple(one for one in results.people if _is_of(one.of_class, one.group, only))
    seats = {person.number for person in people}
    asks = (ask for ask in results.asks if not only.topic or only.topic in ask.item.tags)
    return replace(
        results,
        people=people,
        asks=tuple(_of_these(ask, seats) for ask in asks),
        absent=tuple(one for one in results.absent if _is_of(one.of_class, one.group, only)),
    )


def _of_these(ask: Asked, seats: Set[int]) -> Asked:
    return replace(
        ask,
        asked_of=ask.asked_of & seats,
        responses={seat: response for seat, response in ask.responses.items() if seat in seats},
        marks={seat: mark for seat, mark in ask.marks.items() if seat in seats},
        met={seat: lines for seat, lines in ask.met.items() if seat in seats},
        comments={seat: text for seat, text in ask.comments.items() if seat in seats},
    )


def _is_of(of_class: str, group: str, only: Only) -> bool:
    return (not only.of_class or of_class == only.of_class) and (not only.group or group == only.group)


def _in_order(names: Iterable[str]) -> tuple[str, ...]:
    return tuple(sorted({name for name in names if name}, key=str.casefold))


def _several(names: Set[str]) -> tuple[str, ...]:
    return _in_order(names) if len(names) > 1 else ()
