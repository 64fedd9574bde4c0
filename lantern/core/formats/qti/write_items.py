"""Items as QTI: what all have in common. How each kind says itself is in the kind (`Kind.to_qti`)."""

from collections.abc import Sequence
from fractions import Fraction

from lantern.core.formats.qti.build import QTI3, XML_LANG, Builder, Element
from lantern.core.questions import kind_of
from lantern.core.questions.items import Item, Question, is_scored, title_of
from lantern.core.questions.qti import RESPONSE, number_text

FEEDBACK = "EXPLANATION"


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
                self.build.make("value", inside, text=number_text(value))
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

    def media(self, item: Item) -> None:
        """Each file in a block of its own: a body holds nothing that stands in a line."""
        for media in (item.picture, item.sound, item.video):
            if media is not None and media.media in self.build.files:
                self.build.media(self.build.make("div", self.body), media)

    def prompt(self, interaction: Element, item: Item) -> None:
        self.build.inline(self.build.make("prompt", interaction), item.prompt)

    def paragraph(self, source: str) -> Element:
        made = self.build.make("p", self.body)
        self.build.inline(made, source)
        return made

    def condition(self) -> Element:
        """A condition of one's own, in which what is right is compared."""
        self.processing = self.build.make("response-processing")
        return self.build.make("response-if", self.build.make("response-condition", self.processing))

    def compared(self, parent: Element, value: float | Fraction) -> None:
        self.build.make("variable", parent, identifier=RESPONSE)
        self.build.make("base-value", parent, text=number_text(value), base_type="float")

    def scores(self, condition: Element) -> None:
        score = self.build.make("set-outcome-value", condition, identifier="SCORE")
        self.build.make("base-value", score, text="1", base_type="float")

    def pairs(
        self,
        item: Item,
        left: list[tuple[str, str]],
        right: list[tuple[str, str]],
        right_pairs: list[str],
        *,
        most: int,
        shares: bool,
    ) -> None:
        """Lines to be put together with others. `most` is how many may go to one on the right (0: any number);
        `shares`: each right pair counts for itself."""
        pairs = right_pairs if is_scored(item) else []
        declared = self.declare("directedPair", "multiple", pairs)
        self.template = self.build.version.match_correct
        if pairs and shares:
            self.mapping(declared, [(pair, 1 / len(pairs)) for pair in pairs], upper_bound=1)
            self.template = self.build.version.map_response
        made = self.build.make(
            "match-interaction", self.body, response_identifier=RESPONSE, shuffle=True, max_associations=len(left)
        )
        self.prompt(made, item)
        for lines, limit in ((left, 1), (right, most)):
            one_set = self.build.make("simple-match-set", made)
            for name, text in lines:
                choice = self.build.make("simple-associable-choice", one_set, identifier=name, match_max=limit)
                self.build.inline(choice, text)


def write_item(item: Item, name: str, build: Builder) -> Element | None:
    """The item as an assessment item; None where the standard has no such interaction."""
    sheet = Sheet(build, item, name)
    if not kind_of(item).to_qti(item, sheet):
        return None
    _close(sheet, item)
    return sheet.root


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
