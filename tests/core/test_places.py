from math import cos, hypot, sin, tau

from hypothesis import given
from hypothesis import strategies as st

from lantern.core.questions.marking import FIRST, LATEST
from lantern.core.questions.places import Ellipse, Polygon, Rectangle, Spot, centre, is_inside

shares = st.floats(0, 1)
spots = st.builds(Spot, x=shares, y=shares)
rectangles = st.builds(Rectangle, x=shares, y=shares, width=st.floats(0.01, 1), height=st.floats(0.01, 1))
ellipses = st.builds(Ellipse, x=shares, y=shares, radius_x=st.floats(0.01, 1), radius_y=st.floats(0.01, 1))
polygons = st.builds(Polygon, corners=st.lists(spots, min_size=3, max_size=6).map(tuple))
shapes = st.one_of(rectangles, ellipses, polygons)


@given(shapes, spots, st.floats(0, 0.2), st.floats(0, 0.2), st.floats(0.2, 4))
def test_a_wider_margin_never_leaves_a_point_out(shape, spot, margin, more, aspect):
    if is_inside(shape, spot, margin, aspect):
        assert is_inside(shape, spot, margin + more, aspect)


@given(st.one_of(rectangles, ellipses), st.floats(0.2, 4))
def test_the_middle_of_a_shape_is_inside(shape, aspect):
    assert is_inside(shape, centre(shape), 0, aspect)


@given(polygons, st.floats(0.2, 4))
def test_corners_belong_to_a_polygon(polygon, aspect):
    assert all(is_inside(polygon, corner, 0, aspect) for corner in polygon.corners)


@given(ellipses, spots, st.floats(0, 0.3), st.floats(0.2, 4))
def test_an_ellipse_reaches_exactly_as_far_as_its_margin_p4(ellipse, spot, margin, aspect):
    """Measured the slow way: the nearest of many points of its outline."""
    turns = [step * tau / 2000 for step in range(2000)]
    outline = [
        (ellipse.x + ellipse.radius_x * cos(turn), (ellipse.y + ellipse.radius_y * sin(turn)) * aspect)
        for turn in turns
    ]
    distance = min(hypot(spot.x - x, spot.y * aspect - y) for x, y in outline)
    between = tau * max(ellipse.radius_x, ellipse.radius_y * aspect) / 2000
    in_it = is_inside(ellipse, spot, 0, aspect)
    assert in_it == (
        ((spot.x - ellipse.x) / ellipse.radius_x) ** 2 + ((spot.y - ellipse.y) / ellipse.radius_y) ** 2 <= 1
    )
    if not in_it and abs(distance - margin) > between:
        assert is_inside(ellipse, spot, margin, aspect) == (distance <= margin)


def test_the_first_rules_left_out_some_that_are_within_the_margin_r1():
    flat = Ellipse(x=0.5, y=0.5, radius_x=0.4, radius_y=0.02)
    near = [Spot(x=0.5 + x / 100, y=0.5 + y / 100) for x in range(50) for y in range(14)]
    first, latest = ({s for s in near if is_inside(flat, s, 0.1, 1, rules)} for rules in (FIRST, LATEST))
    assert first < latest


@given(rectangles, spots)
def test_a_rectangle_is_the_same_as_its_four_corners(rectangle, spot):
    right, bottom = rectangle.x + rectangle.width, rectangle.y + rectangle.height
    if right > 1 or bottom > 1:
        return
    corners = ((rectangle.x, rectangle.y), (right, rectangle.y), (right, bottom), (rectangle.x, bottom))
    polygon = Polygon(corners=tuple(Spot(x=x, y=y) for x, y in corners))
    assert is_inside(rectangle, spot, 0, 1) == is_inside(polygon, spot, 0, 1)


def test_a_star_has_no_inside_where_it_crosses_itself():
    bow = Polygon(corners=tuple(Spot(x=x, y=y) for x, y in ((0, 0), (1, 1), (1, 0), (0, 1))))
    assert is_inside(bow, Spot(x=0.1, y=0.5), 0, 1)
    assert not is_inside(bow, Spot(x=0.5, y=0.1), 0, 1)
