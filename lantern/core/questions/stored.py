"""Items and sets as they are stored, in every version there ever was (`core/shapes.py`)."""

from lantern.core.questions import read_item
from lantern.core.questions.content import About, SetContent
from lantern.core.questions.items import Item
from lantern.core.shapes import Json, Shape

ITEM = Shape()
"""One item of a set."""
ABOUT = Shape()
"""What a set is about."""
CONTENT = Shape()
"""A whole set, as a revision keeps it: its own steps bring up its items, too."""


def item_of(shape: int, stored: Json) -> Item:
    return read_item.validate_python(ITEM.upgrade(shape, stored))


def about_of(shape: int, stored: Json) -> About:
    return About.model_validate(ABOUT.upgrade(shape, stored))


def content_of(shape: int, stored: Json) -> SetContent:
    return SetContent.model_validate(CONTENT.upgrade(shape, stored))
