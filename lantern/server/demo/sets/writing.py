"""Short forms for writing sets by hand. A leading "+" marks what is right."""

import re
from hashlib import blake2b
from typing import Any, Literal

from lantern.core.questions.content import About, SetContent
from lantern.core.questions.items import Item
from lantern.core.questions.kinds.choice import ChoiceItem, Option
from lantern.core.questions.kinds.classify import ClassifyItem
from lantern.core.questions.kinds.gap_fill import GapFillItem
from lantern.core.questions.kinds.letter import LetterItem
from lantern.core.questions.kinds.match import MatchItem
from lantern.core.questions.kinds.numeric_entry import NumericEntryItem
from lantern.core.questions.kinds.open_response import OpenResponseItem
from lantern.core.questions.kinds.order import OrderItem
from lantern.core.questions.kinds.page import PageItem
from lantern.core.questions.kinds.point import PointItem
from lantern.core.questions.kinds.point_split import PointSplitItem
from lantern.core.questions.kinds.rating_scale import RatingScaleItem
from lantern.core.questions.kinds.slider import SliderItem
from lantern.core.questions.kinds.text_entry import TextEntryItem
from lantern.core.questions.kinds.word_cloud import WordCloudItem

NUMBER = re.compile(r"^\+?\d")
SPREAD = 11
"""Of the first numbers the one that leaves the keys of all sets spread most evenly (tests/server/test_demo.py)."""
Form = Literal["one", "several", "true_false"]


def choice(prompt: str, *options: str, why: str = "", form: Form = "one", **more: Any) -> ChoiceItem:
    """Options are written as they come to mind and spread here, so that the right ones stand in no one place."""
    if form != "true_false" and more.get("scored", True) and not all(NUMBER.search(text) for text in options):
        options = tuple(sorted(options, key=lambda text: blake2b(f"{SPREAD}{prompt}/{text}".encode()).digest()))
    made = tuple(
        Option(id=_own_id(prompt, f"{index}{text}"), text=text.removeprefix("+"), right=text.startswith("+"))
        for index, text in enumerate(options)
    )
    return ChoiceItem(id=_slug(prompt), prompt=prompt, options=made, explanation=why, form=form, **more)


def several(prompt: str, *options: str, **more: Any) -> ChoiceItem:
    return choice(prompt, *options, form="several", **{"marking": "right_minus_wrong", **more})


def statement(prompt: str, *, true: bool, **more: Any) -> ChoiceItem:
    options = ("+True", "False") if true else ("True", "+False")
    return choice(prompt, *options, form="true_false", **more)


def opinion(prompt: str, *options: str, **more: Any) -> ChoiceItem:
    return choice(prompt, *options, scored=False, **more)


def number(prompt: str, value: float, *, why: str = "", **more: Any) -> NumericEntryItem:
    """Exactly `value`, unless a `tolerance` is given: then so much more or less."""
    accepts = "absolute" if more.get("tolerance") else "exact"
    fields = {"id": _slug(prompt), "prompt": prompt, "value": value, "explanation": why, "accepts": accepts}
    return NumericEntryItem.model_validate(fields | more)


def text(prompt: str, *accepts: str, why: str = "", **more: Any) -> TextEntryItem:
    fields = {"id": _slug(prompt), "prompt": prompt, "accepts": accepts, "explanation": why}
    return TextEntryItem.model_validate({"strictness": {"articles": False, "typos": False}} | fields | more)


def dictation(prompt: str, *accepts: str, **more: Any) -> TextEntryItem:
    """Written from a sound, which demo/props.py has spoken."""
    return text(prompt, *accepts, form="dictation", **{"strictness": {"typos": True}, **more})


def slider(prompt: str, low: float, high: float, right: tuple[float, float] | None, **more: Any) -> SliderItem:
    ends = {"right_low": right[0], "right_high": right[1]} if right else {"scored": False}
    fields = {"id": _slug(prompt), "prompt": prompt, "low": low, "high": high}
    return SliderItem.model_validate(fields | ends | more)


def order(prompt: str, *lines: str, why: str = "", **more: Any) -> OrderItem:
    fields = {"id": _slug(prompt), "prompt": prompt, "explanation": why, "lines": _lines(prompt, lines)}
    return OrderItem.model_validate(fields | more)


def match(prompt: str, *pairs: tuple[str, str], extra: tuple[str, ...] = (), why: str = "") -> MatchItem:
    made = [
        {"id": _own_id(prompt, left), "left": left, "partner_id": _own_id(prompt, f"={right}"), "right": right}
        for left, right in pairs
    ]
    fields = {"id": _slug(prompt), "prompt": prompt, "pairs": made, "explanation": why, "time_limit": 90}
    return MatchItem.model_validate(fields | {"extra": _lines(prompt, extra)})


def classify(prompt: str, why: str = "", **groups: tuple[str, ...]) -> ClassifyItem:
    """Each keyword is a group, its underscores are spaces."""
    names = {name: name.replace("_", " ") for name in groups}
    made = [{"id": _own_id(prompt, name), "text": shown} for name, shown in names.items()]
    members = [
        {"id": _own_id(prompt, f"+{line}"), "text": line, "group": _own_id(prompt, name)}
        for name, lines in groups.items()
        for line in lines
    ]
    fields = {"id": _slug(prompt), "prompt": prompt, "groups": made, "members": members, "explanation": why}
    return ClassifyItem.model_validate(fields | {"time_limit": 90})


def point(prompt: str, *areas: dict[str, Any], why: str = "", **more: Any) -> PointItem:
    """Areas as `{"name", "place", "right"}`; the picture comes from demo/props.py."""
    made = [{"id": _own_id(prompt, area["name"]), "right": False, **area} for area in areas]
    fields = {"id": _slug(prompt), "prompt": prompt, "areas": made, "explanation": why, "by_name": "offered"}
    return PointItem.model_validate(fields | more)


def gap_fill(prompt: str, body: str, way: str = "typed", **more: Any) -> GapFillItem:
    fields = {"id": _slug(prompt), "prompt": prompt, "text": body, "way": way, "time_limit": 90}
    return GapFillItem.model_validate(fields | more)


def open_response(prompt: str, **more: Any) -> OpenResponseItem:
    return OpenResponseItem.model_validate({"id": _slug(prompt), "prompt": prompt, "time_limit": 180} | more)


def word_cloud(prompt: str, **more: Any) -> WordCloudItem:
    return WordCloudItem.model_validate({"id": _slug(prompt), "prompt": prompt, "time_limit": 60} | more)


def rating(prompt: str, *statements: str, **more: Any) -> RatingScaleItem:
    fields = {"id": _slug(prompt), "prompt": prompt, "statements": _lines(prompt, statements), "time_limit": 90}
    return RatingScaleItem.model_validate(fields | more)


def split(prompt: str, *options: str, total: int = 10) -> PointSplitItem:
    fields = {"id": _slug(prompt), "prompt": prompt, "options": _lines(prompt, options), "total": total}
    return PointSplitItem.model_validate(fields | {"time_limit": 90})


def letter(prompt: str, right: str, **more: Any) -> LetterItem:
    return LetterItem.model_validate({"id": _slug(prompt), "prompt": prompt, "right": tuple(right)} | more)


def page(heading: str, body: str) -> PageItem:
    return PageItem(id=_slug(heading), prompt=heading, body=body)


def a_set(title: str, *items: Item, **about: Any) -> SetContent:
    return SetContent(title=title, about=About.model_validate(about), items=items)


def _lines(prompt: str, texts: tuple[str, ...]) -> list[dict[str, str]]:
    return [{"id": _own_id(prompt, text), "text": text} for text in texts]


def _own_id(prompt: str, text: str) -> str:
    """An id that tells nothing of the order in which the lines were written."""
    return blake2b(f"{prompt}/{text}".encode(), digest_size=6).hexdigest()


def _slug(text: str) -> str:
    return re.sub(r"[^a-z0-9]+", "-", text.lower()).strip("-")[:38]


def on_topics(content: SetContent, *topics: tuple[str, tuple[int, ...]]) -> SetContent:
    """The set with these topics on the questions of these numbers."""
    numbers = content.question_numbers()
    of = {number: topic for topic, of_topic in topics for number in of_topic}
    items = tuple(
        item.model_copy(update={"tags": (of[numbers[item.id]],)}) if numbers.get(item.id) in of else item
        for item in content.items
    )
    return content.model_copy(update={"items": items})
