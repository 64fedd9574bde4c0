"""Points that somebody gave for questions become weights, where they can: a question counts 0, 1 or 2 times."""

from collections.abc import Sequence

from lantern.core.formats.exchange import Incoming
from lantern.core.messages import said
from lantern.core.questions.items import Item, Question

WEIGHTS = {0, 1, 2}


def weigh(incoming: Incoming, points: Sequence[int | None], called: str = "Points") -> None:
    """Sets weights in the entries, and tells what became of their points. `called` is what they are called in the
    source."""
    given = [worth for worth in points if worth is not None]
    if not given:
        return
    listed = ", ".join(str(worth) for worth in dict.fromkeys(given))
    distinct = set(given)
    questions = [entry for entry in incoming.entries if not entry.out and (entry.item is not None or entry.readings)]
    if len(distinct) == 1 and len(given) >= len(questions):
        alike = "{called}: {points} for each. All questions count alike."
        incoming.note(said("points_alike", alike, called=called, points=listed))
        return
    weights = _weights(distinct)
    if weights is None:
        out = "{called}: {points}. They are left out, for a question counts 0, 1 or 2 times."
        incoming.note(said("points_left_out", out, called=called, points=listed))
        return
    incoming.note(said("points_as_weights", "{called}: {points}. They became weights.", called=called, points=listed))
    for at, (entry, worth) in enumerate(zip(incoming.entries, points, strict=True)):
        if worth is not None:
            readings = tuple(r.model_copy(update={"item": _weighing(r.item, weights[worth])}) for r in entry.readings)
            item = entry.item and _weighing(entry.item, weights[worth])
            incoming.entries[at] = entry.model_copy(update={"item": item, "readings": readings})


def _weights(points: set[int]) -> dict[int, int] | None:
    """Points to weights: as they are, or where the larger are twice the smaller."""
    if points <= WEIGHTS:
        return {worth: worth for worth in points}
    least = min(points)
    return {worth: worth // least for worth in points} if least and points <= {least, 2 * least} else None


def _weighing(item: Item, weight: int) -> Item:
    return item.model_copy(update={"weight": weight}) if isinstance(item, Question) else item
