"""Places on a picture as a person reads them: their parts in percent of the picture's width and height.

rectangle: left 10 %, top 10 %, width 20 %, height 10 %
ellipse: centre 70 % 50 %, radius 5 % 5 %
polygon: 40 % 70 %, 60 % 70 %, 50 % 90 %
"""

import re
from decimal import Decimal, InvalidOperation
from typing import Any

from lantern.core.questions.places import Ellipse, Polygon, Rectangle

_SHAPE = re.compile(r"(rectangle|ellipse|polygon)\s*:(.*)", re.I)
_NUMBER = re.compile(r"(?<![\d.])\d*[.,]?\d+(?:[eE]-?\d+)?")
_PARTS = {"rectangle": ("x", "y", "width", "height"), "ellipse": ("x", "y", "radius_x", "radius_y")}


def written(place: Rectangle | Ellipse | Polygon) -> str:
    """The line that `read` takes for this place."""
    if isinstance(place, Rectangle):
        left, top, width, height = map(_percent, (place.x, place.y, place.width, place.height))
        return f"rectangle: left {left}, top {top}, width {width}, height {height}"
    if isinstance(place, Ellipse):
        radius = f"{_percent(place.radius_x)} {_percent(place.radius_y)}"
        return f"ellipse: centre {_percent(place.x)} {_percent(place.y)}, radius {radius}"
    return "polygon: " + ", ".join(f"{_percent(corner.x)} {_percent(corner.y)}" for corner in place.corners)


def read(line: str) -> dict[str, Any] | None:
    """The fields of the place that a line says, to be checked by its model; None for what says none."""
    found = _SHAPE.fullmatch(line.strip())
    if found is None:
        return None
    shape = found[1].lower()
    # As in `10,5 %` a comma before a figure is a decimal one; those that part have a blank behind them.
    shares = [_share(number) for number in _NUMBER.findall(found[2])]
    if shape == "polygon":
        corners = [{"x": x, "y": y} for x, y in zip(shares[::2], shares[1::2], strict=False)]
        return {"shape": shape, "corners": corners} if len(shares) % 2 == 0 else None
    names = _PARTS[shape]
    return {"shape": shape, **dict(zip(names, shares, strict=True))} if len(shares) == len(names) else None


def _percent(share: float) -> str:
    """To the last figure of the number, so that it is read back as it was."""
    number = Decimal(repr(share)).scaleb(2).normalize()
    return f"{number:f} %"


def _share(percent: str) -> float:
    try:
        return float(Decimal(percent.replace(",", ".")).scaleb(-2))
    except InvalidOperation:
        return -1.0
