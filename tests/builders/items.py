from itertools import count
from typing import Any

from lantern.core.questions.kinds.choice import ChoiceItem, Option
from lantern.core.questions.kinds.page import PageItem

_numbers = count(1)
LETTERS = "ABCDEFGHIJKL"


def choice(right: str = "B", *, options: int = 4, id: str | None = None, **more: Any) -> ChoiceItem:
    """A choice whose options have the ids A, B, C …; `right` holds the letters of the right ones."""
    made = tuple(Option(id=letter, text=f"Knot {letter}", right=letter in right) for letter in LETTERS[:options])
    form = more.pop("form", "several" if len(right) > 1 else "one")
    return ChoiceItem(
        id=id or f"q{next(_numbers)}", prompt=more.pop("prompt", "Which knot?"), options=made, form=form, **more
    )


def opinion(**more: Any) -> ChoiceItem:
    return choice("", scored=False, **more)


def page(**more: Any) -> PageItem:
    usual = {"id": f"p{next(_numbers)}", "prompt": "Before you go out", "body": "Read the forecast."}
    return PageItem(**(usual | more))
