"""QTI items to ours. Written for packages of any writer: other prefixes, templates or explicit processing, and
the standard's defaults where attributes are missing.

What is right is taken from the correct response, else from a mapping's points, else from what the processing
compares the response with.
"""

from collections.abc import Callable, Sequence
from dataclasses import dataclass, field
from typing import Any

from lantern.core.formats.qti.nodes import Node, finite, text_of
from lantern.core.formats.qti.versions import plain_name
from lantern.core.questions.contract import NewId

Fields = dict[str, Any]
KeepFile = Callable[[str], str | None]
"""Takes a file of the package along; returns the key by which an item names it."""

INTERACTIONS = frozenset(
    "choice-interaction text-entry-interaction extended-text-interaction slider-interaction order-interaction "
    "match-interaction gap-match-interaction inline-choice-interaction select-point-interaction hotspot-interaction "
    "associate-interaction hottext-interaction graphic-order-interaction graphic-associate-interaction "
    "graphic-gap-match-interaction position-object-interaction drawing-interaction upload-interaction "
    "end-attempt-interaction media-interaction custom-interaction portable-custom-interaction".split()
)
IN_LINE = {"text-entry-interaction", "inline-choice-interaction"}
_PASSED_OVER = frozenset(
    {"prompt", "object", "audio", "video", "img", "picture", "rubric-block", "feedback-inline", "feedback-block"}
)


class NotSaid(Exception):
    """Why an item was not understood, in a sentence."""


@dataclass
class Declaration:
    """What is declared of one response: the correct values, points by value, areas of a picture."""

    base_type: str = "identifier"
    cardinality: str = "single"
    correct: list[str] = field(default_factory=list)
    points: dict[str, float] = field(default_factory=dict)
    areas: list[Node] = field(default_factory=list)
    has_mapping: bool = False
    case_sensitive: bool = False

    def right(self) -> list[str]:
        if self.correct and self.cardinality != "single":
            return self.correct
        positive = [value for value, points in self.points.items() if points > 0]
        return [*self.correct, *(value for value in positive if value not in self.correct)]


def declarations_of(root: Node) -> dict[str, Declaration]:
    found = {}
    for node in root.all("response-declaration"):
        inside = [child for child in node.children if child.name == "correct-response"]
        entries = node.all("map-entry")
        found[node["identifier"]] = Declaration(
            base_type=node["base-type"].lower().replace("-", "") or "identifier",
            cardinality=node["cardinality"] or "single",
            correct=[value.text for one in inside for value in one.all("value")],
            points={entry["map-key"]: entry.number("mapped-value") or 0.0 for entry in entries},
            areas=node.all("area-map-entry"),
            has_mapping=bool(entries),
            # Only where it is said: a missing attribute means "true", but is mostly left out without a thought.
            case_sensitive=bool(entries) and all(entry["case-sensitive"] in {"true", "1"} for entry in entries),
        )
    for name, values in _compared_with(root).items():
        if name in found and not found[name].correct and not found[name].points:
            found[name].correct = values
    return found


def _compared_with(root: Node) -> dict[str, list[str]]:
    """Response identifier to the values that explicit processing takes for right."""
    found: dict[str, list[str]] = {}
    for branch in root.all("response-if", "response-else-if"):
        scores = [node for node in branch.children if node.name == "set-outcome-value"]
        if not any(
            (value.text or "0").strip() not in {"0", "0.0", "false"}
            for one in scores
            for value in one.all("base-value")
        ):
            continue
        for test in branch.all("match", "string-match", "equal", "member"):
            variables, values = test.all("variable"), test.all("base-value")
            if variables and values:
                found.setdefault(variables[0]["identifier"], []).extend(value.text for value in values)
    return found


@dataclass
class Reading:
    """One assessment item being read."""

    root: Node
    declarations: dict[str, Declaration]
    new_id: NewId
    keep: KeepFile
    sentences: list[str] = field(default_factory=list)

    def declared(self, interaction: Node) -> Declaration:
        return self.declarations.get(interaction["response-identifier"], Declaration())

    def media(self, inside: Sequence[Node]) -> Fields:
        """The first picture, sound and video among these elements; a word about more of them."""
        found: Fields = {}
        for node in inside:
            medium = self.medium(node)
            if medium is None:
                continue
            if medium["type"] in found:
                self.sentences.append(f"It has more than one {medium['type']}; the first is taken along.")
            else:
                found[medium["type"]] = medium
        return found

    def medium(self, node: Node) -> Fields | None:
        if node.name == "img":
            return self._file("picture", node, node["src"])
        if node.name in {"audio", "video"}:
            source = node["src"] or next((one["src"] for one in node.all("source")), "")
            return self._file("sound" if node.name == "audio" else "video", node, source)
        if node.name == "object":
            kind = {"image": "picture", "audio": "sound", "video": "video"}.get(node["type"].split("/")[0])
            return self._file(kind, node, node["data"]) if kind else None
        return None

    def _file(self, kind: str, node: Node, place: str) -> Fields | None:
        key = self.keep(place) if place else None
        if key is None:
            self.sentences.append(f"The file {place[:80] or 'of a ' + kind} is not in the package.")
            return None
        size = {side: max(1, min(20000, int(node.number(side) or 1))) for side in ("width", "height")}
        fields: Fields = {"type": kind, "media": key}
        if kind == "picture":
            return fields | size | {"description": (node["alt"] or node["label"] or node.text)[:500]}
        if kind == "sound":
            return fields | {"seconds": 0}
        track = next((one["src"] for one in node.all("track") if one["src"]), "")
        return fields | {"captions": self.keep(track) if track else None}


def read_item(root: Node, new_id: NewId, keep: KeepFile) -> tuple[list[Fields], list[str]]:
    """The fields of each question in it (without id), and sentences. Raises NotSaid where there is none."""
    reading = Reading(root, declarations_of(root), new_id, keep)
    body = root.first("item-body")
    if body is None:
        raise NotSaid("It has no body.")
    found = [node for node in body.walk() if node.name in INTERACTIONS]
    common = _common(reading)
    if not found:
        return [_page(reading, body) | {"language": common["language"]}], reading.sentences
    if all(node.name in IN_LINE for node in found) and (len(found) > 1 or _in_a_sentence(found[0])):
        made = [_gaps(reading, body)]
    else:
        made = [_one(reading, body, node, alone=len(found) == 1) for node in found]
    shared = reading.media([n for n in _outside(body) if n.name in {"img", "audio", "video", "object"}])
    return [{**shared, **common, **fields} for fields in made], reading.sentences


def _in_a_sentence(node: Node) -> bool:
    """Whether words stand before the field in its own line: then it is a gap in a text."""
    parent = node.element.getparent()
    before = (
        ""
        if parent is None
        else (parent.text or "")
        + "".join("".join(one.itertext()) + (one.tail or "") for one in node.element.itersiblings(preceding=True))
    )
    return node.name == "inline-choice-interaction" or (bool(before.strip()) and plain_name(parent.tag) != "item-body")


def _common(reading: Reading) -> Fields:
    whys = dict.fromkeys(text_of(node) for node in reading.root.all("modal-feedback", "feedback-block"))
    why = "\n\n".join(one for one in whys if one)
    return {"explanation": why, "language": _language(reading.root)}


def _language(root: Node) -> str:
    given = root["lang"]
    return given if given and len(given) <= 20 and given.replace("-", "").isalnum() else ""


def _outside(body: Node) -> list[Node]:
    """Elements of the body that stand in no interaction."""
    inside = {inner.element for node in body.walk() if node.name in INTERACTIONS for inner in node.walk()}
    return [node for node in body.walk() if node.element not in inside]


def _one(reading: Reading, body: Node, node: Node, *, alone: bool) -> Fields:
    reader = READERS.get(node.name)
    if reader is None:
        raise NotSaid(f"There is no kind of question for a {node.name.replace('-', ' ')}.")
    fields = reader(reading, node)
    prompt = node.first("prompt")
    around = text_of(body, without=INTERACTIONS | _PASSED_OVER)
    own = text_of(prompt, without=frozenset({"img", "audio", "video", "object"})) if prompt else ""
    both = "\n".join(part for part in (around, own) if part) if alone or not own else own
    fields["prompt"] = both or reading.root["title"]
    inside = reading.media(prompt.all("img", "audio", "video", "object")) if prompt else {}
    return {**inside, **fields}


def _choice(reading: Reading, node: Node) -> Fields:
    declared = reading.declared(node)
    right = declared.right()
    options: list[Fields] = []
    for one in node.all("simple-choice"):
        media = next((m for m in map(reading.medium, one.all("img", "audio", "video", "object")) if m), None)
        text = text_of(one, without=frozenset({"feedback-inline", "img", "audio", "video", "object"}))
        options.append({"id": reading.new_id(), "text": text, "media": media, "right": one["identifier"] in right})
    several = declared.cardinality == "multiple" or node["max-choices"] not in {"", "1"}
    form = "several" if several else "one"
    if not several and [one["text"].casefold() for one in options] in (["true", "false"], ["false", "true"]):
        form = "true_false"
    negative = any(points < 0 for points in declared.points.values())
    marking = "right_minus_wrong" if several and declared.has_mapping and negative else "all_or_nothing"
    return {"kind": "choice", "form": form, "options": options, "scored": bool(right), "marking": marking}


def _text_entry(reading: Reading, node: Node) -> Fields:
    declared = reading.declared(node)
    if declared.base_type in {"float", "integer"}:
        return _number(reading, node, declared)
    right = declared.right()
    fields: Fields = {"kind": "text_entry", "accepts": tuple(right), "scored": bool(right)}
    return fields | ({"strictness": {"capitals": True}} if declared.case_sensitive else {})


def _number(reading: Reading, node: Node, declared: Declaration) -> Fields:
    fields: Fields = {"kind": "numeric_entry", "unit": (node.element.tail or "").strip()[:20]}
    node.element.tail = None  # the unit is no part of the question
    low, high = _bounds(reading.root, node["response-identifier"])
    if low is not None or high is not None:
        return fields | {"accepts": "range", "low": low, "high": high, "scored": True}
    value = next((number for one in declared.right() if (number := finite(one)) is not None), None)
    equal = reading.root.first("equal")
    mode = equal["tolerance-mode"] if equal else "exact"
    tolerance = finite((equal["tolerance"] if equal else "").split(" ")[0]) or 0
    accepts = {"absolute": "absolute", "relative": "percent"}.get(mode, "exact")
    return fields | {"accepts": accepts, "value": value, "tolerance": tolerance, "scored": value is not None}


def _bounds(root: Node, response: str) -> tuple[float | None, float | None]:
    """The lowest and highest value that explicit processing takes for right."""
    found: dict[str, float] = {}
    for test in root.all("gte", "gt", "lte", "lt"):
        variable, value = test.first("variable"), test.first("base-value")
        number = finite(value.text) if value else None
        if variable and number is not None and variable["identifier"] == response:
            found[test.name[:2]] = number
    return found.get("gt"), found.get("lt")


def _slider(reading: Reading, node: Node) -> Fields:
    declared = reading.declared(node)
    low, high = _bounds(reading.root, node["response-identifier"])
    value = next((number for one in declared.right() if (number := finite(one)) is not None), None)
    low, high = (value, value) if value is not None else (low, high)
    return {
        "kind": "slider",
        "low": node.number("lower-bound") or 0,
        "high": node.number("upper-bound") or 0,
        "step": node.number("step") or 1,
        "right_low": low,
        "right_high": high,
        "scored": low is not None,
    }


def _order(reading: Reading, node: Node) -> Fields:
    right = reading.declared(node).correct
    choices = {one["identifier"]: text_of(one) for one in node.all("simple-choice")}
    names = [name for name in right if name in choices] or list(choices)
    names += [name for name in choices if name not in names]
    lines = [{"id": reading.new_id(), "text": choices[name]} for name in names]
    # The standard compares with the whole order: all or nothing.
    return {"kind": "order", "lines": lines, "scored": bool(right), "marking": "exact" if right else "pairs"}


def _match(reading: Reading, node: Node) -> Fields:
    """Pairs where each target is used once; groups where targets take several."""
    declared = reading.declared(node)
    sets = node.all("simple-match-set")
    if len(sets) != 2:
        raise NotSaid("It does not have two sets to match.")
    left, right = ({c["identifier"]: c for c in one.all("simple-associable-choice")} for one in sets)
    partner = {
        ends[0]: ends[1]
        for value in declared.right()
        if len(ends := value.split()) == 2 and ends[0] in left and ends[1] in right
    }
    rest: Fields = {"all_or_nothing": bool(partner) and not declared.has_mapping, "scored": bool(partner)}
    once = all(choice["match-max"] == "1" for choice in right.values()) or len(right) >= len(left)
    if once and not partner:
        partner = dict(zip(left, right, strict=False))
    targets = list(partner.values())
    if once and len(set(targets)) == len(targets) == len(left):
        used = [
            {"id": reading.new_id(), "left": text_of(choice), "partner_id": reading.new_id(),
             "right": text_of(right[partner[name]])}
            for name, choice in left.items()
        ]  # fmt: skip
        extra = [{"id": reading.new_id(), "text": text_of(c)} for name, c in right.items() if name not in targets]
        return rest | {"kind": "match", "pairs": used, "extra": extra}
    ids = {name: reading.new_id() for name in right}
    members = [
        {"id": reading.new_id(), "text": text_of(choice), "group": ids.get(partner.get(name, ""))}
        for name, choice in left.items()
    ]
    groups = [{"id": ids[name], "text": text_of(choice)} for name, choice in right.items()]
    return rest | {"kind": "classify", "groups": groups, "members": members}


def _gap_match(reading: Reading, node: Node) -> Fields:
    declared = reading.declared(node)
    words = {one["identifier"]: _bare(text_of(one)) for one in node.all("gap-text")}
    into = {pair[1]: pair[0] for value in declared.right() if len(pair := value.split()) == 2}
    used: list[str] = []

    def filled(gap: Node) -> str:
        used.append(into.get(gap["identifier"], ""))
        return f"[{words.get(used[-1], '')}]"

    text = _with_gaps(node, {"gap": filled}, frozenset({"prompt", "gap-text", "gap-img"}))
    extra = [word for name, word in words.items() if name not in used]
    rest = {"all_or_nothing": bool(into) and not declared.has_mapping, "scored": bool(into)}
    return {"kind": "gap_fill", "way": "bank", "text": text, "extra": extra[:30], **rest}


def _gaps(reading: Reading, body: Node) -> Fields:
    """Several gaps in a text: typed, or each with its own choices."""
    prompt: list[str] = []
    scored = capitals = False

    def typed(node: Node) -> str:
        nonlocal scored, capitals
        declared = reading.declared(node)
        right = [_bare(one) for one in declared.right()]
        scored, capitals = scored or bool(right), capitals or declared.case_sensitive
        return f"[{'|'.join(right)}]"

    def chosen(node: Node) -> str:
        nonlocal scored
        declared = reading.declared(node)
        right = declared.right()
        scored = scored or bool(right)
        choices = node.all("inline-choice")
        ranked = sorted(choices, key=lambda one: one["identifier"] not in right)
        return f"[{'|'.join(_bare(text_of(one)) for one in ranked)}]"

    names = {node.name for node in body.walk() if node.name in IN_LINE}
    way = "chosen" if names == {"inline-choice-interaction"} else "typed"
    text = _with_gaps(body, {"text-entry-interaction": typed, "inline-choice-interaction": chosen}, _PASSED_OVER)
    first, _, rest = text.partition("\n\n")
    if rest and "[" not in first:
        prompt, text = [first], rest
    fields: Fields = {"kind": "gap_fill", "prompt": (prompt or ["Fill the gaps."])[0], "way": way, "text": text}
    fields |= {"strictness": {"capitals": True, "typos": False}} if capitals else {}
    return fields | {"scored": scored, "all_or_nothing": _wants_all(reading.root)}


def _wants_all(root: Node) -> bool:
    """Whether explicit processing gives a score only where several responses are right together."""
    together = [both for branch in root.all("response-if") for both in branch.all("and")]
    asked = ({one["identifier"] for one in both.all("variable", "map-response")} for both in together)
    return any(len(names) > 1 for names in asked)


def _with_gaps(node: Node, gaps: dict[str, Callable[[Node], str]], without: frozenset[str]) -> str:
    """The text of an element with its gaps written in brackets."""
    for inner in list(node.walk()):
        if inner.name in gaps:
            said = gaps[inner.name](inner)
            tail = inner.element.tail
            inner.element.clear()
            inner.element.tag = "span"
            inner.element.text, inner.element.tail = said, tail
    return text_of(node, without=without)


def _bare(text: str) -> str:
    return " ".join(text.replace("[", "(").replace("]", ")").replace("|", "/").split())[:200]


def _point(reading: Reading, node: Node) -> Fields:
    picture = next((m for m in map(reading.medium, node.all("img", "object")) if m and m["type"] == "picture"), None)
    if picture is None:
        raise NotSaid("Its picture is not in the package.")
    width, height = picture["width"], picture["height"]
    declared = reading.declared(node)
    right = set(declared.right())
    spots = [(area, True) for area in declared.areas if (area.number("mapped-value") or 0) > 0]
    spots += [(spot, spot["identifier"] in right) for spot in node.all("hotspot-choice")]
    areas = []
    for area, is_right in spots:
        place = _place(area["shape"], area["coords"], width, height)
        if place:
            name = area["label"] or area["hotspot-label"]
            areas.append({"id": reading.new_id(), "place": place, "right": is_right, "name": name[:100]})
    fields: Fields = {"kind": "point", "picture": picture, "areas": areas}
    return fields | {"scored": any(area["right"] for area in areas)}


def _place(shape: str, coords: str, width: int, height: int) -> Fields | None:
    """An area in pixels as one in shares of the picture."""
    numbers = [number for part in coords.split(",") if (number := finite(part)) is not None]

    def share(number: float, whole: int) -> float:
        return round(max(0.0, min(1.0, number / whole)), 6)

    if shape == "rect" and len(numbers) == 4:
        x, y = share(numbers[0], width), share(numbers[1], height)
        return {"shape": "rectangle", "x": x, "y": y, "width": share(numbers[2] - numbers[0], width),
                "height": share(numbers[3] - numbers[1], height)}  # fmt: skip
    if shape in {"circle", "ellipse"} and len(numbers) in {3, 4}:
        across, down = numbers[2], numbers[-1]
        return {"shape": "ellipse", "x": share(numbers[0], width), "y": share(numbers[1], height),
                "radius_x": share(across, width), "radius_y": share(down, height)}  # fmt: skip
    if shape == "poly" and len(numbers) >= 6:
        corners = zip(numbers[::2], numbers[1::2], strict=False)
        return {"shape": "polygon", "corners": [{"x": share(x, width), "y": share(y, height)} for x, y in corners][:40]}
    return None


def _open_response(reading: Reading, node: Node) -> Fields:
    return {"kind": "open_response", "scored": False}


def _page(reading: Reading, body: Node) -> Fields:
    heading = body.first("h1", "h2", "h3", "h4")
    media = reading.media(body.all("img", "audio", "video", "object"))
    title = text_of(heading) if heading else ""
    text = text_of(body, without=frozenset({"img", "audio", "video", "object"}))
    text = text.removeprefix(title).strip() if title else text
    return {"kind": "page", "prompt": (title or reading.root["title"]), "body": text, **media}


READERS: dict[str, Callable[[Reading, Node], Fields]] = {
    "choice-interaction": _choice,
    "text-entry-interaction": _text_entry,
    "extended-text-interaction": _open_response,
    "slider-interaction": _slider,
    "order-interaction": _order,
    "match-interaction": _match,
    "gap-match-interaction": _gap_match,
    "select-point-interaction": _point,
    "hotspot-interaction": _point,
}
