"""Order: lines to be put into their order; as an opinion, ranked by preference."""

from collections import Counter
from collections.abc import Iterable, Iterator, Sequence
from html import escape
from itertools import combinations
from random import Random
from statistics import fmean
from typing import Annotated, Literal

from pydantic import Field

from lantern.core.errors import BadAnswer
from lantern.core.messages import said
from lantern.core.questions.companions import Given, NewId, Sample, Substance
from lantern.core.questions.contract import Kind
from lantern.core.questions.items import (
    Answer,
    CountRow,
    Figure,
    Key,
    Problem,
    PublicItem,
    Question,
    Tally,
    common_problems,
    public_fields,
    wrong,
)
from lantern.core.questions.marking import FIRST
from lantern.core.questions.marking.equal import any_alike, in_order, texts_of
from lantern.core.questions.parts import (
    LETTERS,
    Line,
    LineWords,
    PublicLine,
    cut,
    line_problems,
    lines_of,
    public_line,
    shuffled,
)
from lantern.core.questions.qti import RESPONSE, QtiSheet, names_of
from lantern.core.questions.richtext import plain
from lantern.core.questions.textform import entry, texts
from lantern.core.values import ShortId, Value

FEWEST_SCORED, FEWEST, MOST = 3, 2, 12
LINES = LineWords(
    lambda line: said("line_empty", "Line {line} is empty.", line=line),
    lambda first, second: said(
        "lines_alike", "Line {first} and line {second} say the same.", first=first, second=second
    ),
)


class OrderItem(Question):
    """`lines` stand in the right order; lines that read alike may stand for each other. `marking`:

    exact  1 for exactly this order, else 0.
    pairs  the share of pairs of lines that stand in the right order (Kendall's tau, from 0 to 1), with the
           wholly reversed order at 0 and the right one at 1.
    """

    kind: Literal["order"] = "order"
    lines: Annotated[tuple[Line, ...], Field(max_length=MOST)] = ()
    marking: Literal["exact", "pairs"] = "pairs"
    first_label: Annotated[str, Field(max_length=60)] = ""
    last_label: Annotated[str, Field(max_length=60)] = ""


class PublicOrder(PublicItem):
    kind: Literal["order"] = "order"
    lines: tuple[PublicLine, ...]
    first_label: str
    last_label: str

    def read_out(self) -> Iterator[tuple[str, str]]:
        yield from super().read_out()
        yield "first", escape(self.first_label)
        yield "last", escape(self.last_label)


class OrderAnswer(Answer):
    kind: Literal["order"] = "order"
    order: Annotated[tuple[ShortId, ...], Field(max_length=MOST)]


class OrderKey(Key):
    kind: Literal["order"] = "order"
    order: tuple[ShortId, ...]


class Placing(Value):
    """How a line was placed: its mean place (1 is first) and its Borda count (points for lines behind it)."""

    id: ShortId
    mean_place: float
    borda: int
    places: tuple[int, ...]


class OrderTally(Tally):
    """`placings` has the line that was placed first most often in front (by Borda count)."""

    kind: Literal["order"] = "order"
    placings: tuple[Placing, ...]


class Order(Kind[OrderItem, OrderAnswer, OrderTally]):
    name = "order"
    called = said("kind_order", "order")
    item = OrderItem
    public_item = PublicOrder
    answer = OrderAnswer
    key_model = OrderKey
    tally_model = OrderTally
    text_fields = ("lines",)

    def check(self, item: OrderItem) -> list[Problem]:
        problems = [*common_problems(item), *line_problems(item.lines, "lines", LINES, may_repeat=item.scored)]
        fewest = FEWEST_SCORED if item.scored else FEWEST
        if len(item.lines) < fewest:
            words = {FEWEST: said("two", "two"), FEWEST_SCORED: said("three", "three")}
            problems.append(
                wrong(
                    said("lines_wanted", "Give at least {fewest} lines to put in order.", fewest=words[fewest]), "lines"
                )
            )
        return problems

    def public(self, item: OrderItem, secret: str = "") -> PublicOrder:
        """Scored, the lines are shuffled so that they give nothing away."""
        lines = shuffled(item.lines, item.id, secret) if item.scored else item.lines
        labels = {"first_label": item.first_label, "last_label": item.last_label}
        return PublicOrder.model_validate({**public_fields(item), **labels, "lines": [public_line(x) for x in lines]})

    def texts(self, item: OrderItem) -> list[str]:
        return [item.prompt, *(x.text for x in item.lines), item.first_label, item.last_label, item.explanation]

    def mixed(self, item: OrderItem, rng: Random) -> OrderItem:
        """Only a ranking of opinions: a scored order is shuffled anyway, and its own order is the key."""
        if item.scored:
            return item
        return item.model_copy(update={"lines": tuple(rng.sample(item.lines, len(item.lines)))})

    def key(self, item: OrderItem) -> OrderKey | None:
        return OrderKey(order=tuple(x.id for x in item.lines)) if item.scored else None

    def accept(self, item: OrderItem, answer: OrderAnswer) -> None:
        if sorted(answer.order) != sorted(x.id for x in item.lines):
            raise BadAnswer(said("place_every_line", "Put every line in its place, then send."))

    def settled(self, item: OrderItem, answer: OrderAnswer) -> OrderAnswer:
        if not _has_alike(item):
            return answer
        return OrderAnswer(order=in_order(answer.order, [x.id for x in item.lines], texts_of(item.lines)))

    def score(self, item: OrderItem, answer: OrderAnswer) -> float | None:
        if not item.scored:
            return None
        answer = self.settled(item, answer)
        right = [x.id for x in item.lines]
        if item.marking == "exact":
            return float(list(answer.order) == right)
        place = {line: index for index, line in enumerate(answer.order)}
        pairs = list(combinations(right, 2))
        return sum(place[a] < place[b] for a, b in pairs) / len(pairs) if pairs else 0.0

    def tally(self, item: OrderItem, answers: Iterable[OrderAnswer]) -> OrderTally:
        alike = _has_alike(item)
        orders = [(self.settled(item, answer) if alike else answer).order for answer in answers]
        count = len(item.lines)
        placings = []
        for line in item.lines:
            places = [order.index(line.id) + 1 for order in orders]
            hits = Counter(places)
            placings.append(
                Placing(
                    id=line.id,
                    mean_place=round(fmean(places), 3) if places else 0,
                    borda=sum(count - place for place in places),
                    places=tuple(hits[place] for place in range(1, count + 1)),
                )
            )
        placings.sort(key=lambda p: (-p.borda, p.id))
        return OrderTally(n=len(orders), placings=tuple(placings))

    def given(self, item: OrderItem, answer: OrderAnswer) -> Given:
        return Given("sequencing", "ordered", "identifier", answer.order)

    def answer_text(self, item: OrderItem, answer: OrderAnswer) -> str:
        texts = {x.id: plain(x.text) for x in item.lines}
        return " > ".join(texts[line] for line in answer.order)

    def key_text(self, item: OrderItem) -> str:
        return " > ".join(plain(x.text) for x in item.lines) if item.scored else ""

    def short_text(self, item: OrderItem, answer: OrderAnswer) -> str:
        letters = {x.id: LETTERS[index] for index, x in enumerate(item.lines)}
        return cut("".join(letters[line] for line in answer.order))

    def count_rows(self, item: OrderItem, tally: OrderTally) -> list[CountRow]:
        """Each line, in the item's own order, with how often it stood in its right place (as an opinion: first)."""
        found = {p.id: p for p in tally.placings}
        rows = []
        for index, line in enumerate(item.lines):
            hits = found[line.id].places[index if item.scored else 0] if line.id in found else 0
            rows.append(CountRow(LETTERS[index], plain(line.text), hits, True if item.scored else None))
        return rows

    def figures(self, item: OrderItem, tally: OrderTally) -> list[Figure]:
        texts = {x.id: plain(x.text) for x in item.lines}
        places = [
            Figure(said("mean_place", "mean place"), texts[p.id], p.mean_place) for p in tally.placings if tally.n
        ]
        return [
            *places,
            *(Figure(said("borda_count", "Borda count"), texts[p.id], p.borda) for p in tally.placings if tally.n),
        ]

    def substance(self, item: OrderItem) -> Substance:
        return Substance(lines=tuple(x.text for x in item.lines))

    def take_over(self, substance: Substance, new_id: NewId) -> dict[str, object]:
        return {"lines": lines_of(substance.all_lines()[:MOST], new_id, FEWEST_SCORED)}

    def to_lines(self, item: OrderItem) -> list[str]:
        return [entry("1.", line.text) for line in item.lines]

    def from_lines(self, lines: Sequence[str], new_id: NewId) -> dict[str, object]:
        return {"lines": lines_of(texts(lines, "1."), new_id, 0)}

    def to_qti(self, item: OrderItem, sheet: QtiSheet) -> bool:
        sheet.media(item)
        names = names_of(line.id for line in item.lines)
        sheet.declare("identifier", "ordered", [names[line.id] for line in item.lines] if item.scored else [])
        sheet.template = sheet.build.version.match_correct
        made = sheet.build.make("order-interaction", sheet.body, response_identifier=RESPONSE, shuffle=True)
        sheet.prompt(made, item)
        for line in item.lines:
            sheet.build.inline(sheet.build.make("simple-choice", made, identifier=names[line.id]), line.text)
        return True

    def imagine(self, item: OrderItem, ability: float, rng: Random) -> OrderAnswer:
        order = [x.id for x in item.lines]
        if rng.random() < ability and item.scored:
            return OrderAnswer(order=tuple(order))
        if not item.scored:  # earlier lines are liked a little better
            rng.shuffle(order)
            order.sort(key=lambda line: [x.id for x in item.lines].index(line) + rng.gauss(0, 2.5))
            return OrderAnswer(order=tuple(order))
        for _ in range(rng.randint(1, 3)):
            at = rng.randrange(len(order) - 1)
            order[at], order[at + 1] = order[at + 1], order[at]
        return OrderAnswer(order=tuple(order))

    def samples(self) -> Sequence[Sample]:
        lines = tuple(
            Line(id=f"L{index}", text=text)
            for index, text in enumerate(("Light air", "Gentle breeze", "Strong breeze", "Gale"))
        )
        winds = OrderItem(id="order-winds", prompt="From the weakest to the strongest wind", lines=lines)
        liked = OrderItem(id="order-liked", prompt="Which wind do you like best?", lines=lines, scored=False)
        answers = [OrderAnswer(order=tuple(f"L{d}" for d in digits)) for digits in ("0123", "1023", "3210")]
        exact = winds.model_copy(update={"id": "order-exact", "marking": "exact"})
        return [
            Sample(winds, answers[0], tuple(answers[1:])),
            Sample(exact, answers[0], tuple(answers[1:])),
            Sample(liked, None, tuple(answers)),
        ]


def _has_alike(item: OrderItem) -> bool:
    """Whether lines may stand for each other."""
    return item.scored and item.rules.version != FIRST and any_alike(tuple(x.text for x in item.lines))


KIND = Order()
