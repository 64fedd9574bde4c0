"""Point on a picture: a point that lies in an area; areas with names can be chosen without seeing the picture."""

from collections import Counter
from collections.abc import Iterable, Iterator, Sequence
from html import escape
from random import Random
from typing import Annotated, Literal

from pydantic import Field

from lantern.core.errors import BadAnswer
from lantern.core.messages import Message, said
from lantern.core.questions import place_lines
from lantern.core.questions.companions import NewId, Sample
from lantern.core.questions.contract import Kind
from lantern.core.questions.items import (
    Answer,
    CountRow,
    Figure,
    Key,
    Picture,
    Problem,
    PublicItem,
    Question,
    Tally,
    common_problems,
    public_fields,
    unwise,
    wrong,
)
from lantern.core.questions.places import Ellipse, Polygon, Rectangle, Shape, Spot, centre, is_inside
from lantern.core.questions.qti import RESPONSE, QtiSheet
from lantern.core.questions.textform import entries, entry
from lantern.core.values import ShortId, Value

MOST_AREAS, MOST_TOLD = 20, 250


class Area(Value):
    """A place on the picture. `right` areas score; the others can be named and counted."""

    id: ShortId
    name: Annotated[str, Field(max_length=100)] = ""
    place: Shape
    right: bool = True


class PointItem(Question):
    """`margin` is how far outside an area still counts, as a share of the picture's width.

    `by_name` "offered": students may choose an area by its name instead of pointing.
    """

    kind: Literal["point"] = "point"
    areas: Annotated[tuple[Area, ...], Field(max_length=MOST_AREAS)] = ()
    margin: Annotated[float, Field(ge=0, le=0.2)] = 0.02
    by_name: Literal["hidden", "offered"] = "hidden"


class NamedPlace(Value):
    id: ShortId
    name: str


class PublicPoint(PublicItem):
    kind: Literal["point"] = "point"
    names: tuple[NamedPlace, ...]

    def read_out(self) -> Iterator[tuple[str, str]]:
        yield from ((place.id, escape(place.name)) for place in self.names)


class PointAnswer(Answer):
    """A point, or the area that was chosen by its name."""

    kind: Literal["point"] = "point"
    spot: Spot | None = None
    area: ShortId | None = None


class PointKey(Key):
    kind: Literal["point"] = "point"
    areas: tuple[Area, ...]


class AreaCount(Value):
    """How many pointed into an area. `right` is None where nothing is right or wrong."""

    id: ShortId
    name: str
    count: int
    right: bool | None


class PointTally(Tally):
    """`points` are places on the picture; the class is told of an even selection of very many.

    `areas` and `strays`, which lie in no area, are told together with the key. An answer counts in one area: the one
    that was chosen by its name, else a right one before others, so that the counts say what the marks say.
    """

    kind: Literal["point"] = "point"
    points: tuple[Spot, ...]
    areas: tuple[AreaCount, ...] = ()
    strays: int = 0


class PointKind(Kind[PointItem, PointAnswer, PointTally]):
    name = "point"
    called = said("kind_point", "point")
    item = PointItem
    public_item = PublicPoint
    answer = PointAnswer
    key_model = PointKey
    tally_model = PointTally
    text_fields = ("areas",)

    def check(self, item: PointItem) -> list[Problem]:
        problems = common_problems(item)
        if item.picture is None:
            problems.append(wrong(said("point_picture_missing", "Add the picture that students point at."), "picture"))
        if item.scored and not any(area.right for area in item.areas):
            problems.append(
                wrong(said("right_area_missing", "Mark an area that is right, or make it an opinion."), "areas")
            )
        nameless = [index for index, area in enumerate(item.areas) if not area.name.strip()]
        if item.by_name == "offered":
            problems += [
                wrong(
                    said("area_without_name", "Name area {area}, so that it can be chosen.", area=index + 1),
                    f"areas.{index}",
                )
                for index in nameless
            ]
            if len(item.areas) < 2:
                problems.append(wrong(said("two_areas_wanted", "Choosing by name needs at least two areas."), "areas"))
        elif item.areas:
            nameless_areas = said(
                "areas_by_name_wanted", "Name the areas and offer the names, for those who cannot see the picture."
            )
            problems.append(unwise(nameless_areas, "areas"))
        return problems

    def public(self, item: PointItem, secret: str = "") -> PublicPoint:
        offered = sorted(item.areas, key=lambda area: area.name) if item.by_name == "offered" else []
        names = [NamedPlace(id=area.id, name=area.name) for area in offered]
        return PublicPoint.model_validate({**public_fields(item), "names": names})

    def texts(self, item: PointItem) -> list[str]:
        return [item.prompt, *(area.name for area in item.areas), item.explanation]

    def key(self, item: PointItem) -> PointKey | None:
        return PointKey(areas=tuple(area for area in item.areas if area.right)) if item.scored else None

    def accept(self, item: PointItem, answer: PointAnswer) -> None:
        if (answer.spot is None) == (answer.area is None):
            raise BadAnswer(said("point_at_one_place", "Point at one place."))
        if answer.area is not None and (
            item.by_name != "offered" or answer.area not in {area.id for area in item.areas}
        ):
            raise BadAnswer

    def score(self, item: PointItem, answer: PointAnswer) -> float | None:
        if not item.scored:
            return None
        if answer.area is not None:
            return float(any(area.right for area in item.areas if area.id == answer.area))
        spot = _spot(item, answer)
        return float(any(_is_in(item, a, spot) for a in item.areas if a.right))

    def tally(self, item: PointItem, answers: Iterable[PointAnswer]) -> PointTally:
        given = list(answers)
        spots = sorted((_spot(item, answer) for answer in given), key=lambda spot: (spot.x, spot.y))
        right_first = sorted(item.areas, key=lambda area: not area.right)
        hits = Counter(_counted_in(item, right_first, answer) for answer in given)
        areas = tuple(
            AreaCount(
                id=area.id,
                name=area.name,
                count=hits[area.id],
                right=area.right if item.scored else None,
            )
            for area in item.areas
        )
        return PointTally(n=len(spots), points=tuple(spots), areas=areas, strays=hits[None])

    def told(self, item: PointItem, tally: PointTally, *, desk: bool, with_key: bool) -> PointTally:
        every = 1 if desk else -(-len(tally.points) // MOST_TOLD) or 1
        update: dict[str, object] = {"points": tally.points[::every]}
        update |= {} if with_key and item.areas else {"areas": (), "strays": 0}
        return tally.model_copy(update=update)

    def answer_text(self, item: PointItem, answer: PointAnswer) -> str:
        if answer.area is not None:
            return next(area.name for area in item.areas if area.id == answer.area)
        spot = _spot(item, answer)
        names = ", ".join(area.name for area in _areas_hit(item, answer) if area.name)
        at = f"x {spot.x:.1%}, y {spot.y:.1%}"
        return f"{at} ({names})" if names else at

    def key_text(self, item: PointItem) -> str:
        names = (area.name or str(index) for index, area in enumerate(item.areas, start=1) if area.right)
        return "; ".join(names) if item.scored else ""

    def short_text(self, item: PointItem, answer: PointAnswer) -> str:
        spot = _spot(item, answer)
        return f"{spot.x * 100:.0f}/{spot.y * 100:.0f}"

    def count_rows(self, item: PointItem, tally: PointTally) -> list[CountRow]:
        """Points in each area, and the strays that lie in none."""
        areas = enumerate(tally.areas, start=1)
        rows = [CountRow(f"{index}", area.name, area.count, area.right) for index, area in areas]
        in_none = said("outside_every_area", "outside every area")
        outside = CountRow("–", "", tally.strays, False if item.scored else None, words=in_none)
        return [*rows, outside]

    def gave(self, item: PointItem, answer: PointAnswer, row: CountRow) -> bool:
        right_first = sorted(item.areas, key=lambda area: not area.right)
        found = _counted_in(item, right_first, answer)
        number = next((index for index, area in enumerate(item.areas, start=1) if area.id == found), None)
        return row.label == ("–" if number is None else f"{number}")

    def say(self, row: CountRow) -> Message:
        return row.words or said("answer_label", "{label}", label=row.text or row.label)

    def figures(self, item: PointItem, tally: PointTally) -> list[Figure]:
        return [Figure(said("strays", "strays"), "", tally.strays)] if tally.points else []

    def to_lines(self, item: PointItem) -> list[str]:
        return [
            entry("- [x]" if area.right else "- [ ]", f"{area.name}\n{place_lines.written(area.place)}")
            for area in item.areas
        ]

    def from_lines(self, lines: Sequence[str], new_id: NewId) -> dict[str, object]:
        areas = []
        for mark, text, _ in entries(lines, ("- [x]", "- [ ]")):
            name, _, place = text.rpartition("\n")
            area = {"id": new_id(), "name": name, "right": mark == "- [x]", "place": place_lines.read(place)}
            areas.append({field: value for field, value in area.items() if value is not None})
        return {"areas": areas}

    def to_qti(self, item: PointItem, sheet: QtiSheet) -> bool:
        build, picture = sheet.build, item.picture
        declared = sheet.declare("point", "single")
        made = build.make("select-point-interaction", sheet.body, response_identifier=RESPONSE, max_choices=1)
        sheet.prompt(made, item)
        if picture is None:
            return True
        build.graphic(made, picture)
        if item.scored:
            mapping = build.make("area-mapping", declared, default_value=0)
            for area in (area for area in item.areas if area.right):
                shape, numbers = _map_area(area.place, picture.width, picture.height)
                build.make("area-map-entry", mapping, shape=shape, coords=",".join(map(str, numbers)), mapped_value=1)
            sheet.template = build.version.map_response_point
        return True

    def imagine(self, item: PointItem, ability: float, rng: Random) -> PointAnswer:
        right = [area for area in item.areas if area.right]
        if item.scored and right and rng.random() < ability:
            return PointAnswer(spot=_hit(item, rng.choice(right), rng))
        if not item.scored or rng.random() < 0.5:
            return PointAnswer(spot=Spot(x=round(rng.random(), 3), y=round(rng.random(), 3)))
        near = centre(rng.choice(item.areas).place)
        x, y = near.x + rng.gauss(0, 0.12), near.y + rng.gauss(0, 0.12)
        return PointAnswer(spot=Spot(x=min(1, max(0, x)), y=min(1, max(0, y))))

    def samples(self) -> Sequence[Sample]:
        picture = Picture(media="chart-of-the-bay", description="A chart of the bay", width=1200, height=800)
        areas = (
            Area(id="a1", name="The mole", place=Rectangle(x=0.1, y=0.1, width=0.2, height=0.1)),
            Area(id="a2", name="The light", place=Ellipse(x=0.7, y=0.5, radius_x=0.05, radius_y=0.05), right=False),
            Area(
                id="a3",
                name="The shoal",
                place=Polygon(corners=(Spot(x=0.4, y=0.7), Spot(x=0.6, y=0.7), Spot(x=0.5, y=0.9))),
                right=False,
            ),
        )
        item = PointItem(id="point-mole", prompt="Where is the mole?", picture=picture, areas=areas, by_name="offered")
        right = PointAnswer(spot=Spot(x=0.2, y=0.15))
        others = (PointAnswer(spot=Spot(x=0.9, y=0.9)), PointAnswer(area="a2"), PointAnswer(area="a1"))
        free = PointItem(id="point-opinion", prompt="Where would you anchor?", picture=picture, scored=False)
        return [Sample(item, right, others), Sample(free, None, (right, others[0]))]


def _spot(item: PointItem, answer: PointAnswer) -> Spot:
    given = answer.spot
    if given is not None:
        x, y = round(given.x, 3), round(given.y, 3)
        return given if (x, y) == (given.x, given.y) else Spot(x=x, y=y)
    return next((centre(area.place) for area in item.areas if area.id == answer.area), Spot(x=0, y=0))


def _hit(item: PointItem, area: Area, rng: Random) -> Spot:
    """Somewhere in the area, near its middle; the middle itself where a few tries miss."""
    middle = centre(area.place)
    for _ in range(8):
        x, y = (min(1.0, max(0.0, rng.gauss(at, 0.02))) for at in (middle.x, middle.y))
        if is_inside(area.place, Spot(x=x, y=y), 0, _aspect(item)):
            return Spot(x=x, y=y)
    return middle


def _areas_hit(item: PointItem, answer: PointAnswer) -> list[Area]:
    if answer.area is not None:
        return [area for area in item.areas if area.id == answer.area]
    spot = _spot(item, answer)
    return [area for area in item.areas if _is_in(item, area, spot)]


def _is_in(item: PointItem, area: Area, spot: Spot) -> bool:
    return is_inside(area.place, spot, item.margin, _aspect(item), item.rules.version)


def _area_at(item: PointItem, areas: Sequence[Area], spot: Spot) -> str | None:
    """The first of these areas that the spot lies in; None for a stray."""
    return next((area.id for area in areas if _is_in(item, area, spot)), None)


def _counted_in(item: PointItem, right_first: Sequence[Area], answer: PointAnswer) -> str | None:
    """The area that an answer is counted in; None for a stray."""
    return answer.area or _area_at(item, right_first, _spot(item, answer))


def _aspect(item: PointItem) -> float:
    return item.picture.height / item.picture.width if item.picture else 1.0


def _map_area(place: Shape, width: int, height: int) -> tuple[str, list[int]]:
    """(shape, coordinates in pixels of the picture), as HTML's image maps have them."""
    if isinstance(place, Rectangle):
        edges = (place.x * width, place.y * height, (place.x + place.width) * width, (place.y + place.height) * height)
        return "rect", [round(edge) for edge in edges]
    if isinstance(place, Ellipse):
        middle = (place.x * width, place.y * height, place.radius_x * width, place.radius_y * height)
        return "ellipse", [round(one) for one in middle]
    return "poly", [round(one) for corner in place.corners for one in (corner.x * width, corner.y * height)]


KIND = PointKind()
