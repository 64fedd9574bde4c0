"""Items as QTI: one function for each kind that the standard can say."""

from collections.abc import Callable, Sequence
from typing import Any

from lantern.core.formats.qti.build import QTI3, XML_LANG, Builder, Element
from lantern.core.questions.contract import Item, Question, is_scored, title_of
from lantern.core.questions.kinds.choice import ChoiceItem
from lantern.core.questions.kinds.classify import ClassifyItem
from lantern.core.questions.kinds.gap_fill import Gap, GapFillItem, gaps_of, split_at_gaps
from lantern.core.questions.kinds.match import MatchItem
from lantern.core.questions.kinds.numeric_entry import NumericEntryItem
from lantern.core.questions.kinds.order import OrderItem
from lantern.core.questions.kinds.page import PageItem
from lantern.core.questions.kinds.point import PointItem
from lantern.core.questions.kinds.slider import SliderItem
from lantern.core.questions.kinds.text_entry import TextEntryItem
from lantern.core.questions.places import Ellipse, Rectangle

RESPONSE, FEEDBACK = "RESPONSE", "EXPLANATION"


class Sheet:
    """One assessment item on its way: declarations first, then the body, then processing and feedback."""

    def __init__(self, build: Builder, item: Item, name: str) -> None:
        self.build = build
        self.root = build.make(
            "assessment-item", identifier=name, title=title_of(item) or name, adaptive=False, time_dependent=False
        )
        if item.language:
            self.root.set(XML_LANG, item.language)
        self.declared = 0
        self.body = build.make("item-body")
        self.template: str | None = None
        self.processing: Element | None = None

    def declare(
        self, base_type: str, cardinality: str, correct: Sequence[object] = (), name: str = RESPONSE
    ) -> Element:
        made = self.build.make(
            "response-declaration", self.root, identifier=name, cardinality=cardinality, base_type=base_type
        )
        self.declared += 1
        if correct:
            inside = self.build.make("correct-response", made)
            for value in correct:
                self.build.make("value", inside, text=_value(value))
        return made

    def mapping(
        self,
        declaration: Element,
        points: Sequence[tuple[str, float]],
        case_sensitive: bool | None = None,
        **bounds: float,
    ) -> None:
        made = self.build.make("mapping", declaration, default_value=0, **bounds)  # type: ignore[arg-type]
        for key, value in points:
            self.build.make("map-entry", made, map_key=key, mapped_value=value, case_sensitive=case_sensitive)


def _value(value: object) -> str:
    return str(int(value)) if isinstance(value, float) and value.is_integer() else str(value)


def write_item(item: Item, name: str, build: Builder) -> Element | None:
    """The item as an assessment item; None where the standard has no such interaction."""
    writer = WRITERS.get(item.kind)
    if writer is None:
        return None
    sheet = Sheet(build, item, name)
    if not isinstance(item, PageItem | PointItem):
        _media(sheet, item)
    writer(sheet, item)
    _close(sheet, item)
    return sheet.root


def _media(sheet: Sheet, item: Item) -> None:
    """Each file in a block of its own: a body holds nothing that stands in a line."""
    for media in (item.picture, item.sound, item.video):
        if media is not None and media.media in sheet.build.files:
            sheet.build.media(sheet.build.make("div", sheet.body), media)


def _close(sheet: Sheet, item: Item) -> None:
    build = sheet.build
    if sheet.declared:
        score = build.make(
            "outcome-declaration", sheet.root, identifier="SCORE", cardinality="single", base_type="float"
        )
        build.make("value", build.make("default-value", score), text="0")
    why = item.explanation if isinstance(item, Question) else ""
    if why:  # told to everyone, whatever was answered
        feedback = build.make(
            "outcome-declaration", sheet.root, identifier=FEEDBACK, cardinality="single", base_type="identifier"
        )
        build.make("value", build.make("default-value", feedback), text="WHY")
    sheet.root.append(sheet.body)
    if sheet.processing is not None:
        sheet.root.append(sheet.processing)
    elif sheet.template and is_scored(item):
        build.make("response-processing", sheet.root, template=sheet.template)
    if why:
        shown = build.make(
            "modal-feedback", sheet.root, outcome_identifier=FEEDBACK, identifier="WHY", show_hide="show"
        )
        holder = build.make("content-body", shown) if build.version is QTI3 else shown
        build.block(holder, why)


def _prompt(sheet: Sheet, interaction: Element, item: Item) -> None:
    sheet.build.inline(sheet.build.make("prompt", interaction), item.prompt)


def _paragraph(sheet: Sheet, source: str) -> Element:
    made = sheet.build.make("p", sheet.body)
    sheet.build.inline(made, source)
    return made


def _choice(sheet: Sheet, item: ChoiceItem) -> None:
    several = item.form == "several"
    right = [option.id for option in item.options if option.right] if item.scored else []
    names = _names(option.id for option in item.options)
    declared = sheet.declare("identifier", "multiple" if several else "single", [names[one] for one in right])
    sheet.template = sheet.build.version.match_correct
    if several and item.marking == "right_minus_wrong" and right:
        share = 1 / len(right)
        points = [(names[o.id], share if o.right else -share) for o in item.options]
        sheet.mapping(declared, points, lower_bound=0, upper_bound=1)
        sheet.template = sheet.build.version.map_response
    made = sheet.build.make(
        "choice-interaction", sheet.body, response_identifier=RESPONSE, shuffle=False, max_choices=0 if several else 1
    )
    _prompt(sheet, made, item)
    for option in item.options:
        one = sheet.build.make("simple-choice", made, identifier=names[option.id])
        sheet.build.inline(one, option.text)
        sheet.build.media(one, option.media)


def _names(ids: Any) -> dict[str, str]:
    """QTI identifiers for lines: short, and saying nothing."""
    return {one: f"L{number}" for number, one in enumerate(ids, start=1)}


def _text_entry(sheet: Sheet, item: TextEntryItem) -> None:
    accepts = [one for one in item.accepts if one.strip()] if item.scored else []
    declared = sheet.declare("string", "single", accepts[:1])
    if accepts:
        sheet.mapping(declared, [(one, 1) for one in accepts], case_sensitive=item.strictness.capitals)
        sheet.template = sheet.build.version.map_response
    _paragraph(sheet, item.prompt)
    sheet.build.make("text-entry-interaction", sheet.build.make("p", sheet.body), response_identifier=RESPONSE)


def _numeric_entry(sheet: Sheet, item: NumericEntryItem) -> None:
    right = [item.value] if item.scored and item.value is not None and item.accepts != "range" else []
    sheet.declare("float", "single", right)
    _paragraph(sheet, item.prompt)
    line = sheet.build.make("p", sheet.body)
    sheet.build.make("text-entry-interaction", line, response_identifier=RESPONSE).tail = (
        f" {item.unit}" if item.unit else None
    )
    if not item.scored:
        return
    build = sheet.build
    condition = _condition(sheet)
    if item.accepts == "range":
        both = build.make("and", condition)
        for name, bound in (("gte", item.low), ("lte", item.high)):
            if bound is not None:
                _compared(sheet, build.make(name, both), bound)
    else:
        modes = {"exact": "exact", "absolute": "absolute", "percent": "relative"}
        tolerance = None if item.accepts == "exact" else f"{_value(item.tolerance)} {_value(item.tolerance)}"
        equal = build.make("equal", condition, tolerance_mode=modes[item.accepts], tolerance=tolerance)
        build.make("variable", equal, identifier=RESPONSE)
        build.make("correct", equal, identifier=RESPONSE)
    _scores(sheet, condition)


def _condition(sheet: Sheet) -> Element:
    sheet.processing = sheet.build.make("response-processing")
    return sheet.build.make("response-if", sheet.build.make("response-condition", sheet.processing))


def _compared(sheet: Sheet, parent: Element, value: float) -> None:
    sheet.build.make("variable", parent, identifier=RESPONSE)
    sheet.build.make("base-value", parent, text=_value(value), base_type="float")


def _scores(sheet: Sheet, condition: Element) -> None:
    score = sheet.build.make("set-outcome-value", condition, identifier="SCORE")
    sheet.build.make("base-value", score, text="1", base_type="float")


def _slider(sheet: Sheet, item: SliderItem) -> None:
    exact = item.scored and item.right_low is not None and item.right_low == item.right_high
    sheet.declare("float", "single", [item.right_low] if exact else [])
    sheet.template = sheet.build.version.match_correct if exact else None
    made = sheet.build.make(
        "slider-interaction", sheet.body, response_identifier=RESPONSE,
        lower_bound=item.low, upper_bound=item.high, step=item.step if float(item.step).is_integer() else None,
    )  # fmt: skip
    _prompt(sheet, made, item)
    if item.scored and not exact and item.right_low is not None and item.right_high is not None:
        condition = _condition(sheet)
        both = sheet.build.make("and", condition)
        _compared(sheet, sheet.build.make("gte", both), item.right_low)
        _compared(sheet, sheet.build.make("lte", both), item.right_high)
        _scores(sheet, condition)


def _order(sheet: Sheet, item: OrderItem) -> None:
    names = _names(line.id for line in item.lines)
    sheet.declare("identifier", "ordered", [names[line.id] for line in item.lines] if item.scored else [])
    sheet.template = sheet.build.version.match_correct
    made = sheet.build.make("order-interaction", sheet.body, response_identifier=RESPONSE, shuffle=True)
    _prompt(sheet, made, item)
    for line in item.lines:
        sheet.build.inline(sheet.build.make("simple-choice", made, identifier=names[line.id]), line.text)


def _match(sheet: Sheet, item: MatchItem) -> None:
    left = _names(pair.id for pair in item.pairs)
    rights = [(pair.partner_id, pair.right) for pair in item.pairs] + [(line.id, line.text) for line in item.extra]
    right = {one: f"R{number}" for number, (one, _) in enumerate(rights, start=1)}
    pairs = [f"{left[pair.id]} {right[pair.partner_id]}" for pair in item.pairs]
    sources = [(left[pair.id], pair.left) for pair in item.pairs]
    _associated(sheet, item, sources, [(right[one], text) for one, text in rights], pairs, most=1)


def _classify(sheet: Sheet, item: ClassifyItem) -> None:
    groups = {group.id: f"R{number}" for number, group in enumerate(item.groups, start=1)}
    members = _names(member.id for member in item.members)
    pairs = [f"{members[m.id]} {groups[m.group]}" for m in item.members if m.group in groups]
    sources = [(members[member.id], member.text) for member in item.members]
    _associated(sheet, item, sources, [(groups[g.id], g.text) for g in item.groups], pairs, most=0)


def _associated(
    sheet: Sheet, item: MatchItem | ClassifyItem, left: list[tuple[str, str]], right: list[tuple[str, str]],
    pairs: list[str], most: int,
) -> None:  # fmt: skip
    declared = sheet.declare("directedPair", "multiple", pairs if item.scored else [])
    sheet.template = sheet.build.version.match_correct
    if item.scored and not item.all_or_nothing and pairs:
        sheet.mapping(declared, [(pair, 1 / len(pairs)) for pair in pairs], upper_bound=1)
        sheet.template = sheet.build.version.map_response
    made = sheet.build.make(
        "match-interaction", sheet.body, response_identifier=RESPONSE, shuffle=True, max_associations=len(left)
    )
    _prompt(sheet, made, item)
    for lines, limit in ((left, 1), (right, most)):
        one_set = sheet.build.make("simple-match-set", made)
        for name, text in lines:
            choice = sheet.build.make("simple-associable-choice", one_set, identifier=name, match_max=limit)
            sheet.build.inline(choice, text)


def _point(sheet: Sheet, item: PointItem) -> None:
    build, picture = sheet.build, item.picture
    declared = sheet.declare("point", "single")
    made = build.make("select-point-interaction", sheet.body, response_identifier=RESPONSE, max_choices=1)
    _prompt(sheet, made, item)
    if picture is None:
        return
    build.graphic(made, picture)
    if item.scored:
        mapping = build.make("area-mapping", declared, default_value=0)
        for area in (area for area in item.areas if area.right):
            shape, numbers = _area(area.place, picture.width, picture.height)
            build.make("area-map-entry", mapping, shape=shape, coords=",".join(map(str, numbers)), mapped_value=1)
        sheet.template = build.version.map_response_point


def _area(place: Any, width: int, height: int) -> tuple[str, list[int]]:
    """(shape, coordinates in pixels of the picture), as HTML's image maps have them."""
    if isinstance(place, Rectangle):
        edges = (place.x * width, place.y * height, (place.x + place.width) * width, (place.y + place.height) * height)
        return "rect", [round(edge) for edge in edges]
    if isinstance(place, Ellipse):
        middle = (place.x * width, place.y * height, place.radius_x * width, place.radius_y * height)
        return "ellipse", [round(one) for one in middle]
    return "poly", [round(one) for corner in place.corners for one in (corner.x * width, corner.y * height)]


def _gap_fill(sheet: Sheet, item: GapFillItem) -> None:
    build, gaps = sheet.build, gaps_of(item)
    if item.way == "bank":
        _bank(sheet, item)
        return
    for number, gap in enumerate(gaps, start=1):
        _declare_gap(sheet, item, gap, number, points=1 if item.all_or_nothing else 1 / len(gaps))
    if item.scored and gaps:
        _score_gaps(sheet, item, len(gaps))
    _paragraph(sheet, item.prompt)
    line = build.make("p", sheet.body)
    for number, (text, following) in enumerate(split_at_gaps(item), start=1):
        build.inline_text(line, text)
        if following is None:
            continue
        response = f"{RESPONSE}{number}"
        if item.way == "typed":
            build.make("text-entry-interaction", line, response_identifier=response)
            continue
        made = build.make("inline-choice-interaction", line, response_identifier=response, shuffle=True)
        for at, word in enumerate((*following.right[:1], *following.wrong), start=1):
            build.make("inline-choice", made, text=word, identifier=f"C{number}_{at}")


def _declare_gap(sheet: Sheet, item: GapFillItem, gap: Gap, number: int, points: float) -> None:
    """`points` go to each right answer in this gap."""
    chosen = item.way == "chosen"
    right = [f"C{number}_1"] if chosen else list(gap.right)
    kind = "identifier" if chosen else "string"
    declared = sheet.declare(kind, "single", right[:1] if item.scored else [], f"{RESPONSE}{number}")
    if item.scored and right:
        capitals = None if chosen else item.strictness.capitals
        sheet.mapping(declared, [(word, points) for word in right], case_sensitive=capitals)


def _score_gaps(sheet: Sheet, item: GapFillItem, gaps: int) -> None:
    """The sum of the gaps' points; all or nothing, a point for the whole where each gap has its own."""
    build = sheet.build
    names = [f"{RESPONSE}{number}" for number in range(1, gaps + 1)]
    if item.all_or_nothing:
        condition = _condition(sheet)
        both = build.make("and", condition)
        for name in names:
            equal = build.make("equal", both, tolerance_mode="exact")
            build.make("map-response", equal, identifier=name)
            build.make("base-value", equal, text="1", base_type="float")
        _scores(sheet, condition)
        return
    sheet.processing = build.make("response-processing")
    score = build.make("sum", build.make("set-outcome-value", sheet.processing, identifier="SCORE"))
    for name in names:
        build.make("map-response", score, identifier=name)


def _bank(sheet: Sheet, item: GapFillItem) -> None:
    build, gaps = sheet.build, gaps_of(item)
    words = [gap.right[0] if gap.right else "" for gap in gaps]
    bank = list(dict.fromkeys([*words, *item.extra]))
    names = {word: f"W{number}" for number, word in enumerate(bank, start=1)}
    pairs = [f"{names[word]} G{number}" for number, word in enumerate(words, start=1)]
    declared = sheet.declare("directedPair", "multiple", pairs if item.scored else [])
    sheet.template = build.version.match_correct
    if item.scored and not item.all_or_nothing and pairs:
        sheet.mapping(declared, [(pair, 1 / len(pairs)) for pair in pairs], upper_bound=1)
        sheet.template = build.version.map_response
    made = build.make("gap-match-interaction", sheet.body, response_identifier=RESPONSE, shuffle=True)
    _prompt(sheet, made, item)
    for word in bank:
        build.make("gap-text", made, text=word, identifier=names[word], match_max=words.count(word) or 1)
    line = build.make("p", made)
    for number, (text, gap) in enumerate(split_at_gaps(item), start=1):
        build.inline_text(line, text)
        if gap is not None:
            build.make("gap", line, identifier=f"G{number}")


def _open_response(sheet: Sheet, item: Item) -> None:
    sheet.declare("string", "single")
    made = sheet.build.make("extended-text-interaction", sheet.body, response_identifier=RESPONSE)
    _prompt(sheet, made, item)


def _page(sheet: Sheet, item: PageItem) -> None:
    sheet.build.inline(sheet.build.make("h2", sheet.body), item.prompt)
    _media(sheet, item)
    sheet.build.block(sheet.build.make("div", sheet.body), item.body)


WRITERS: dict[str, Callable[[Sheet, Any], None]] = {
    "choice": _choice,
    "text_entry": _text_entry,
    "numeric_entry": _numeric_entry,
    "slider": _slider,
    "order": _order,
    "match": _match,
    "classify": _classify,
    "point": _point,
    "gap_fill": _gap_fill,
    "open_response": _open_response,
    "page": _page,
}
