"""Places in a game."""

from collections.abc import Mapping


def places_of(points: Mapping[int, int]) -> dict[int, int]:
    """Player to place, the most points first. Equal points share a place: 1, 2, 2, 4."""
    places: dict[int, int] = {}
    ahead: int | None = None
    place = 0
    for index, (player, total) in enumerate(sorted(points.items(), key=lambda one: -one[1]), start=1):
        if total != ahead:
            ahead, place = total, index
        places[player] = place
    return places
