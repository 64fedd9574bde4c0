from hypothesis import given
from hypothesis import strategies as st

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
