"""Whether the right answers of a set lie in a pattern: all in one place, or in turn."""

from collections import Counter
from collections.abc import Sequence

from lantern.core.messages import Message, said

FEWEST = 5
"""Questions below which chance alone makes patterns."""
LONGEST_TURN = 5
PLACES = (
    said("first", "first"),
    said("second", "second"),
    said("third", "third"),
    said("fourth", "fourth"),
    said("fifth", "fifth"),
    said("sixth", "sixth"),
)
LAST = said("last", "last")


def pattern_in(places: Sequence[tuple[int, int]]) -> Message | None:
    """What is said of the pattern, or None. `places` are (place of the right part from 0, number of parts)."""
    places = [(place, parts) for place, parts in places if parts > 2]
    if len(places) < FEWEST:
        return None
    return _one_place(places) or _in_turn([place for place, _ in places])


def _one_place(places: Sequence[tuple[int, int]]) -> Message | None:
    """Where more than six in ten stand in the same place, counted from the front or from the back."""
    front = Counter(place for place, _ in places)
    back = Counter(parts - place for place, parts in places)
    (place, count), (_, last) = front.most_common(1)[0], (1, back[1])
    name = PLACES[place] if place < len(PLACES) else said("nth", "{place}th", place=place + 1)
    if last >= count:
        name, count = LAST, last
    if count * 10 <= len(places) * 6:
        return None
    return said(
        "key_in_one_place",
        "In {count} of {questions} questions the right answer stands {place}. Mix the options when you run it, or move "
        "some.",
        count=count,
        questions=len(places),
        place=name,
    )


def _in_turn(places: Sequence[int]) -> Message | None:
    """Where the same short run of places comes again and again."""
    for length in range(2, LONGEST_TURN + 1):
        whole = len(places) >= 2 * length + 1
        if whole and all(place == places[index % length] for index, place in enumerate(places)):
            return said(
                "keys_in_turn",
                "The right answers stand in the same places in turn, again after {length} questions. Mix the options "
                "when you run it, or move some.",
                length=length,
            )
    return None
