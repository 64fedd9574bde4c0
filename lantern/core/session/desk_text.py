"""The desk's view as JSON text, for rooms of a thousand.

A line of the grid for everyone makes up nearly all of it, and in a burst of answers nearly all lines
change. Making and encoding a `Person` each costs seven times what writing the line does, and the desk's
view is the dearest of all; so the lines are written here. A test holds the text to `desk_view`.
"""

from collections.abc import Collection, Iterable
from itertools import repeat

from lantern.core.session.model import State
from lantern.core.session.views import DeskMemo, as_json, desk_frame

NOBODY = '"people":[]'


def desk_text(state: State, code: str, present: Collection[int], memo: DeskMemo) -> str:
    """`desk_view(...)` as JSON."""
    frame = desk_frame(state, code, present, memo).model_dump_json()
    # Inside a JSON string a quotation mark is escaped, so no text of a set can look like this.
    before, after = frame.split(NOBODY)
    return f'{before}"people":[{",".join(_lines(state, present, memo))}]{after}'


def _lines(state: State, present: Collection[int], memo: DeskMemo) -> list[str]:
    points = memo.points(state)
    columns = [column.texts for column in memo.columns(state).values()]
    rows: Iterable[tuple[str, ...]] = zip(*columns, strict=True) if columns else repeat(())
    return [
        f'{{"seat":{number},"name":{as_json(state.name(seat))},"here":{_BOOL[number in present]},'
        f'"fog_lifted":{_BOOL[seat.fog_lifted]},"panes":[{",".join(panes)}],"points":{points.get(number, 0)}}}'
        for (number, seat), panes in zip(state.seats.items(), rows, strict=False)
        if not seat.removed
    ]


_BOOL = {False: "false", True: "true"}
