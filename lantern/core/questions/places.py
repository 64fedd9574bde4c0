"""Areas on a picture. All lengths are shares of the picture's width (x) and height (y), 0..1."""

from math import hypot
from typing import Annotated, Literal

from pydantic import Field

from lantern.core.values import Value

Share = Annotated[float, Field(ge=0, le=1, allow_inf_nan=False)]


class Spot(Value):
    x: Share
    y: Share


class Rectangle(Value):
    shape: Literal["rectangle"] = "rectangle"
    x: Share
    y: Share
    width: Share
    height: Share


class Ellipse(Value):
    """`x`, `y` is the centre."""

    shape: Literal["ellipse"] = "ellipse"
    x: Share
    y: Share
    radius_x: Share
    radius_y: Share


class Polygon(Value):
    shape: Literal["polygon"] = "polygon"
    corners: Annotated[tuple[Spot, ...], Field(min_length=3, max_length=40)]


Shape = Annotated[Rectangle | Ellipse | Polygon, Field(discriminator="shape")]


def is_inside(shape: Rectangle | Ellipse | Polygon, spot: Spot, margin: float, aspect: float) -> bool:
    """Whether `spot` lies in the shape or at most `margin` (a share of the width) outside it.

    `aspect` is the picture's height over its width: a margin is as wide upwards as sideways.
    """
    if isinstance(shape, Rectangle):
        off_x = max(shape.x - spot.x, 0.0, spot.x - shape.x - shape.width)
        off_y = max(shape.y - spot.y, 0.0, spot.y - shape.y - shape.height) * aspect
        return hypot(off_x, off_y) <= margin + 1e-9
    if isinstance(shape, Ellipse):
        reach_x, reach_y = shape.radius_x + margin, shape.radius_y * aspect + margin
        if reach_x <= 0 or reach_y <= 0:
            return False
        return ((spot.x - shape.x) / reach_x) ** 2 + ((spot.y - shape.y) * aspect / reach_y) ** 2 <= 1 + 1e-9
    corners = [(c.x, c.y * aspect) for c in shape.corners]
    point = (spot.x, spot.y * aspect)
    return _in_polygon(corners, point) or _to_outline(corners, point) <= margin + 1e-9


def centre(shape: Rectangle | Ellipse | Polygon) -> Spot:
    """A point that stands for the shape; of a polygon, the mean of its corners."""
    if isinstance(shape, Rectangle):
        return Spot(x=min(1, shape.x + shape.width / 2), y=min(1, shape.y + shape.height / 2))
    if isinstance(shape, Ellipse):
        return Spot(x=shape.x, y=shape.y)
    count = len(shape.corners)
    return Spot(x=sum(c.x for c in shape.corners) / count, y=sum(c.y for c in shape.corners) / count)


def _in_polygon(corners: list[tuple[float, float]], point: tuple[float, float]) -> bool:
    """Even-odd rule: a ray to the right crosses the outline an odd number of times."""
    x, y = point
    inside = False
    for (x1, y1), (x2, y2) in zip(corners, corners[1:] + corners[:1], strict=True):
        if (y1 > y) != (y2 > y) and x < (x2 - x1) * (y - y1) / (y2 - y1) + x1:
            inside = not inside
    return inside


def _to_outline(corners: list[tuple[float, float]], point: tuple[float, float]) -> float:
    edges = zip(corners, corners[1:] + corners[:1], strict=True)
    return min(_to_edge(a, b, point) for a, b in edges)


def _to_edge(a: tuple[float, float], b: tuple[float, float], point: tuple[float, float]) -> float:
    along_x, along_y = b[0] - a[0], b[1] - a[1]
    length = along_x**2 + along_y**2
    at = 0.0 if length == 0 else ((point[0] - a[0]) * along_x + (point[1] - a[1]) * along_y) / length
    at = min(1.0, max(0.0, at))
    return hypot(point[0] - a[0] - at * along_x, point[1] - a[1] - at * along_y)
