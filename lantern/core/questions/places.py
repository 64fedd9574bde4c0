"""Areas on a picture. All lengths are shares of the picture's width (x) and height (y), 0..1."""

from math import hypot
from typing import Annotated, Literal

from pydantic import Field

from lantern.core.questions.marking import FIRST, LATEST, first_rules
from lantern.core.values import Value

HALVINGS = 60
"""Steps until the nearest point of an ellipse is known as well as a float can tell."""
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


def is_inside(
    shape: Rectangle | Ellipse | Polygon, spot: Spot, margin: float, aspect: float, rules: int = LATEST
) -> bool:
    """Whether `spot` lies in the shape or at most `margin` (a share of the width) outside it.

    `aspect` is the picture's height over its width: a margin is as wide upwards as sideways. `rules` is the version of
    the rules of marking.
    """
    if isinstance(shape, Rectangle):
        off_x = max(shape.x - spot.x, 0.0, spot.x - shape.x - shape.width)
        off_y = max(shape.y - spot.y, 0.0, spot.y - shape.y - shape.height) * aspect
        return hypot(off_x, off_y) <= margin + 1e-9
    if isinstance(shape, Ellipse):
        radii, away = (shape.radius_x, shape.radius_y * aspect), (abs(spot.x - shape.x), abs(spot.y - shape.y) * aspect)
        if rules == FIRST:
            return first_rules.in_ellipse(radii, away, margin)
        return _near_ellipse(radii, away, margin)
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


def _near_ellipse(radii: tuple[float, float], away: tuple[float, float], margin: float) -> bool:
    """Whether a point is at most `margin` outside; most are far inside or far out, and cost no search."""
    if away[0] > radii[0] + margin + 1e-9 or away[1] > radii[1] + margin + 1e-9:
        return False
    return first_rules.in_ellipse(radii, away, margin - 1e-9) or _to_ellipse(radii, away) <= margin + 1e-9


def _to_ellipse(radii: tuple[float, float], away: tuple[float, float]) -> float:
    """Distance of a point to an ellipse round the origin, 0 inside it; both in the quarter where x and y are positive.

    The nearest point is where the normal goes through the point: Eberly, D. (2013), *Distance from a point to an
    ellipse*; its one root is found by halving.
    """
    (a, b), (x, y) = radii, away
    if a <= 0 or b <= 0:  # a line or a point
        return hypot(max(0.0, x - a), max(0.0, y - b))
    if (x / a) ** 2 + (y / b) ** 2 <= 1:
        return 0.0
    low, high = 0.0, hypot(a * x, b * y)
    for _ in range(HALVINGS):
        middle = (low + high) / 2
        outside = (a * x / (middle + a * a)) ** 2 + (b * y / (middle + b * b)) ** 2 > 1
        low, high = (middle, high) if outside else (low, middle)
    return hypot(x - a * a * x / (high + a * a), y - b * b * y / (high + b * b))
