"""What a kind writes itself on as an item of QTI, the open standard: as much as it has to know of the format.

The sheet itself, with everything that all items have in common, is the format's (`formats/qti/write_items.py`).
"""

from collections.abc import Iterable, Sequence
from fractions import Fraction
from typing import Any, Protocol, TypeAlias

from lantern.core.questions.items import Item, Media, Picture
from lantern.core.questions.marking.numbers import written

RESPONSE = "RESPONSE"
Element: TypeAlias = Any
"""An element of lxml, which has no types."""


class QtiVersion(Protocol):
    """The addresses of the standard's own response processing, in one version of it."""

    @property
    def match_correct(self) -> str: ...
    @property
    def map_response(self) -> str: ...
    @property
    def map_response_point(self) -> str: ...


class QtiBuilder(Protocol):
    """Makes elements under the names of one version; "_" in the name of an attribute stands for "-"."""

    @property
    def version(self) -> QtiVersion: ...
    def make(
        self, name: str, parent: Element | None = None, text: str | None = None, **attributes: object
    ) -> Element: ...
    def inline(self, parent: Element, source: str) -> None: ...
    def inline_text(self, parent: Element, source: str) -> None: ...
    def block(self, parent: Element, source: str) -> None: ...
    def media(self, parent: Element, media: Media | None) -> None: ...
    def graphic(self, parent: Element, picture: Picture) -> None: ...


class QtiSheet(Protocol):
    """One assessment item on its way: declarations first, then the body, then how a response is processed.

    `template` is one of the version's; `processing` is an element of one's own, instead of it.
    """

    body: Element
    template: str | None
    processing: Element | None

    @property
    def build(self) -> QtiBuilder: ...
    def media(self, item: Item) -> None: ...
    def prompt(self, interaction: Element, item: Item) -> None: ...
    def paragraph(self, source: str) -> Element: ...
    def declare(
        self, base_type: str, cardinality: str, correct: Sequence[object] = (), name: str = RESPONSE
    ) -> Element: ...
    def mapping(
        self,
        declaration: Element,
        points: Sequence[tuple[str, float]],
        case_sensitive: bool | None = None,
        **bounds: float,
    ) -> None: ...
    def condition(self) -> Element: ...
    def compared(self, parent: Element, value: float | Fraction) -> None: ...
    def scores(self, condition: Element) -> None: ...
    def pairs(
        self,
        item: Item,
        left: list[tuple[str, str]],
        right: list[tuple[str, str]],
        right_pairs: list[str],
        *,
        most: int,
        shares: bool,
    ) -> None: ...


def names_of(ids: Iterable[str], letter: str = "L") -> dict[str, str]:
    """QTI identifiers for lines: short, and saying nothing."""
    return {one: f"{letter}{number}" for number, one in enumerate(ids, start=1)}


def number_text(value: object) -> str:
    """A number written out, another value as it is."""
    return written(value) if isinstance(value, float | Fraction) else str(value)
