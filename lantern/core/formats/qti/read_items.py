"""QTI items to ours. Written for packages of any writer: other prefixes, templates or explicit processing, and
the standard's defaults where attributes are missing.

What is right is taken from the correct response, else from a mapping's points, else from what the processing
compares the response with.
"""

from collections.abc import Callable, Sequence
from copy import deepcopy
from typing import Any

from lantern.core.formats.qti.declarations import Declaration, bounds
from lantern.core.formats.qti.nodes import Node, finite, text_of
from lantern.core.formats.qti.read_gaps import IN_LINE, gap_match, gaps
from lantern.core.formats.qti.reading import PASSED_OVER, Fields, NotSaid, Reading
from lantern.core.formats.qti.versions import plain_name
from lantern.core.messages import said

INTERACTIONS = frozenset(
    "choice-interaction text-entry-interaction extended-text-interaction slider-interaction order-interaction "
    "match-interaction gap-match-interaction inline-choice-interaction select-point-interaction hotspot-interaction "
    "associate-interaction hottext-interaction graphic-order-interaction graphic-associate-interaction "
    "graphic-gap-match-interaction position-object-interaction drawing-interaction upload-interaction "
    "end-attempt-interaction media-interaction custom-interaction portable-custom-interaction".split()
)


LONGEST_UNIT = 20
_HERE = "\ue000"


def read_item(reading: Reading) -> list[Fields]:
    """The fields of each question in it (without id). Raises NotSaid where there is none."""
    root = reading.root
    body = root.first("item-body")
    if body is None:
        raise NotSaid(said("item_without_body", "It has no body."))
    found = [node for node in body.walk() if node.name in INTERACTIONS]
    common = _common(reading)
    if not found:
        return [_page(reading, body) | {"language": common["language"]}]
    if all(node.name in IN_LINE for node in found) and (len(found) > 1 or _is_a_gap(reading, found[0])):
        made = [gaps(reading, body)]
    else:
        made = [_one(reading, node, around) for node, around in zip(found, _around(body, found), strict=True)]
    shared = reading.media([n for n in _outside(body) if n.name in {"img", "audio", "video", "object"}])
    if len(made) > 1:
        several = "It was one item of {count} parts that belong together; each came in by itself."
        reading.sentences.append(said("item_of_parts", several, count=len(made)))
    _tell_of_instructions(reading, body)
    return [{**shared, **common, **fields} for fields in made]


def _tell_of_instructions(reading: Reading, body: Node) -> None:
    for block in body.all("rubric-block"):
        words = " ".join(block.text.split())
        if words:
            reading.sentences.append(said("line_left_out", "Left out: “{line}”.", line=words[:120]))


def _is_a_gap(reading: Reading, node: Node) -> bool:
    """Whether the field stands among words. Behind a question, or for a number with its unit, it stands by itself."""
    parent = node.element.getparent()
    if node.name == "inline-choice-interaction" or parent is None or plain_name(parent.tag) == "item-body":
        return node.name == "inline-choice-interaction"
    siblings = [*node.element.itersiblings(preceding=True)][::-1]
    before = ((parent.text or "") + _words_of(siblings)).strip()
    after = ((node.element.tail or "") + _words_of([*node.element.itersiblings()])).strip()
    asks = before.endswith(("?", ":", "=")) or reading.declared(node).base_type in {"float", "integer"}
    return bool(before) and not (asks and len(after) <= LONGEST_UNIT)


def _words_of(elements: Sequence[Any]) -> str:
    return "".join("".join(one.itertext()) + (one.tail or "") for one in elements)


def _around(body: Node, found: Sequence[Node]) -> list[str]:
    """The words that belong to each interaction: those before it, behind the one above; the last has the rest, too."""
    copy = Node(deepcopy(body.element))
    places = [node.element for node in copy.walk() if node.name in INTERACTIONS]
    for element in places:
        tail = element.tail
        element.clear()
        element.tag, element.text, element.tail = "span", _HERE, tail
    *parts, rest = [part.strip() for part in text_of(copy, without=PASSED_OVER).split(_HERE)]
    parts[-1] = "\n".join(part for part in (parts[-1], rest) if part)
    return parts


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


def _one(reading: Reading, node: Node, around: str) -> Fields:
    reader = READERS.get(node.name)
    if reader is None:
        raise NotSaid(
            said(
                "interaction_unknown",
                "There is no kind of question for this: {interaction}.",
                interaction=node.name.replace("-", " "),
            )
        )
    fields = reader(reading, node)
    if "unit" in fields:  # it stands behind the field, and is no part of the question
        around = around.removesuffix(fields["unit"]).rstrip()
    prompt = node.first("prompt")
    own = text_of(prompt, without=frozenset({"img", "audio", "video", "object"})) if prompt else ""
    parts = [part for part in (around, own, fields.pop("below", "")) if part]
    fields["prompt"] = "\n".join(parts) or reading.root["title"]
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
    negative = bool(declared.lost())
    marking = "right_minus_wrong" if several and declared.has_mapping and negative else "all_or_nothing"
    _tell_of_choices(
        reading,
        node,
        declared,
        {one["identifier"]: option["text"] for one, option in zip(node.all("simple-choice"), options, strict=True)},
    )
    return {"kind": "choice", "form": form, "options": options, "scored": bool(right), "marking": marking}


def _tell_of_choices(reading: Reading, node: Node, declared: Declaration, texts: dict[str, str]) -> None:
    """What a choice of ours cannot say."""
    reading.tell_of_points(declared, texts)
    fixed = [texts[one["identifier"]] for one in node.all("simple-choice") if one["fixed"] in {"true", "1"}]
    if fixed and node["shuffle"] in {"true", "1"}:
        kept = "“{options}” kept its place there. Here options are shown as the session says."
        reading.sentences.append(said("fixed_place", kept, options=", ".join(fixed)[:120]))
    own = [text for one in node.all("feedback-inline") if (text := " ".join(one.text.split()))]
    if own:
        left = "The feedback for single options is left out: “{texts}”."
        reading.sentences.append(said("option_feedback_left_out", left, texts="”, “".join(own)[:200]))


def _text_entry(reading: Reading, node: Node) -> Fields:
    declared = reading.declared(node)
    if declared.base_type in {"float", "integer"}:
        return _number(reading, node, declared)
    right = declared.right()
    reading.tell_of_points(declared, {})
    fields: Fields = {"kind": "text_entry", "accepts": tuple(right), "scored": bool(right)}
    return fields | ({"strictness": {"capitals": True}} if declared.case_sensitive else {})


def _number(reading: Reading, node: Node, declared: Declaration) -> Fields:
    fields: Fields = {"kind": "numeric_entry", "unit": (node.element.tail or "").strip()[:LONGEST_UNIT]}
    low, high = bounds(reading.root, node["response-identifier"])
    if low is not None or high is not None:
        return fields | {"accepts": "range", "low": low, "high": high, "scored": True}
    value = next((one.strip() for one in declared.right() if finite(one) is not None), None)
    equal = reading.root.first("equal")
    mode = equal["tolerance-mode"] if equal else "exact"
    tolerance = finite((equal["tolerance"] if equal else "").split(" ")[0]) or 0
    accepts = {"absolute": "absolute", "relative": "percent"}.get(mode, "exact")
    return fields | {"accepts": accepts, "value": value, "tolerance": tolerance, "scored": value is not None}


def _slider(reading: Reading, node: Node) -> Fields:
    declared = reading.declared(node)
    low, high = bounds(reading.root, node["response-identifier"])
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


def _hottext(reading: Reading, node: Node) -> Fields:
    """A choice among words of a text, which stands below the question."""
    right = reading.declared(node).right()
    words = [(one["identifier"], text_of(one)) for one in node.all("hottext")]
    options = [{"id": reading.new_id(), "text": text, "right": name in right} for name, text in words]
    several = node["max-choices"] not in {"", "1"}
    below = text_of(node, without=frozenset({"prompt"}))
    return {"kind": "choice", "form": "several" if several else "one", "options": options, "scored": bool(right),
            "below": below}  # fmt: skip


def _associate(reading: Reading, node: Node) -> Fields:
    """Pairs out of one heap: the first of each stands on the left."""
    declared = reading.declared(node)
    texts = {one["identifier"]: text_of(one) for one in node.all("simple-associable-choice")}
    pairs = [ends for value in declared.right() if len(ends := value.split()) == 2 and set(ends) <= texts.keys()]
    used = {end for ends in pairs for end in ends}
    made = [
        {"id": reading.new_id(), "left": texts[left], "partner_id": reading.new_id(), "right": texts[right]}
        for left, right in pairs
    ]
    extra = [{"id": reading.new_id(), "text": text} for name, text in texts.items() if name not in used]
    return {"kind": "match", "pairs": made, "extra": extra, "scored": bool(pairs),
            "all_or_nothing": bool(pairs) and not declared.has_mapping}  # fmt: skip


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
        raise NotSaid(said("match_sets_missing", "It does not have two sets to match."))
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


def _point(reading: Reading, node: Node) -> Fields:
    picture = next((m for m in map(reading.medium, node.all("img", "object")) if m and m["type"] == "picture"), None)
    if picture is None:
        raise NotSaid(said("picture_not_in_package", "Its picture is not in the package."))
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


def _watch(reading: Reading, node: Node) -> Fields:
    """Something to watch or to listen to is a page; how often it may be played cannot be said."""
    if node["max-plays"] not in {"", "0"}:
        plays = "It may be played {count} times there; here as often as one likes."
        reading.sentences.append(said("plays_limited", plays, count=node["max-plays"][:4]))
    return {"kind": "page", **reading.media(_outermost(node))}


def _outermost(node: Node) -> list[Node]:
    return [one for one in node.all("img", "object", "audio", "video") if one.element.getparent() is not None]


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
    "associate-interaction": _associate,
    "hottext-interaction": _hottext,
    "gap-match-interaction": gap_match,
    "select-point-interaction": _point,
    "hotspot-interaction": _point,
    "media-interaction": _watch,
}
