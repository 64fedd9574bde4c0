"""Match: each line on the left has its partner on the right."""

from collections import Counter
from collections.abc import Iterable, Sequence
from random import Random
from typing import Annotated, Literal

from pydantic import Field

from lantern.core.errors import BadAnswer
from lantern.core.messages import Message, said
from lantern.core.pairing import Pairing, Tries
from lantern.core.questions.companions import Drawn, Given, NewId, PairOf, Sample, Substance
from lantern.core.questions.contract import Kind
from lantern.core.questions.items import (
    Answer,
    CountRow,
    Key,
    LineText,
    Media,
    Picture,
    Problem,
    PublicItem,
    Question,
    Recording,
    Tally,
    common_problems,
    in_words,
    public_fields,
    unwise,
    wrong,
)
from lantern.core.questions.marking import FIRST
from lantern.core.questions.marking.equal import any_alike, as_pairs
from lantern.core.questions.parts import (
    LETTERS,
    Line,
    LineWords,
    PublicLine,
    cut,
    in_parts,
    line_problems,
    lines_of,
    public_line,
    share_right,
    shuffled,
)
from lantern.core.questions.qti import QtiSheet, names_of
from lantern.core.questions.richtext import inline_html, plain
from lantern.core.questions.textform import entries, entry, texts
from lantern.core.values import ShortId, Value

FEWEST, MOST = 2, 12
PAIRS_IN_ONE = 8
FIND_PARTNERS = said("ask_find_partners", "Match each with its partner.")
LEFT = LineWords(
    lambda line: said("left_side_empty", "Left side {line} is empty.", line=line),
    lambda first, second: said(
        "left_sides_alike", "Left side {first} and left side {second} say the same.", first=first, second=second
    ),
)
RIGHT = LineWords(
    lambda line: said("right_side_empty", "Right side {line} is empty.", line=line),
    lambda first, second: said(
        "right_sides_alike", "Right side {first} and right side {second} say the same.", first=first, second=second
    ),
)
EXTRA = LineWords(
    lambda line: said("extra_line_empty", "Extra line {line} is empty.", line=line),
    lambda first, second: said(
        "extra_lines_alike", "Extra line {first} and extra line {second} say the same.", first=first, second=second
    ),
)


class Pair(Value):
    """`id` stands for the left side, `partner_id` for the right: neither can be told from the other. `left_media` is
    shown or played beside the left text, or in place of it."""

    id: ShortId
    left: LineText = ""
    left_media: Media | None = None
    partner_id: ShortId
    right: LineText = ""


class MatchItem(Question):
    """`extra` are right sides that belong to nobody. Sides that read alike may stand for each other."""

    kind: Literal["match"] = "match"
    pairs: Annotated[tuple[Pair, ...], Field(max_length=MOST)] = ()
    extra: Annotated[tuple[Line, ...], Field(max_length=MOST)] = ()
    all_or_nothing: bool = False


class PublicMatch(PublicItem):
    kind: Literal["match"] = "match"
    left: tuple[PublicLine, ...]
    right: tuple[PublicLine, ...]


class Matched(Value):
    left: ShortId
    right: ShortId


class MatchAnswer(Answer):
    kind: Literal["match"] = "match"
    matched: Annotated[tuple[Matched, ...], Field(max_length=MOST)]


class MatchKey(Key):
    kind: Literal["match"] = "match"
    matched: tuple[Matched, ...]


class MatchCount(Value):
    left: ShortId
    right: ShortId
    count: int


class MatchTally(Tally):
    """How often each left was put to each right; what was never put together is left out."""

    kind: Literal["match"] = "match"
    cells: tuple[MatchCount, ...]


class Match(Kind[MatchItem, MatchAnswer, MatchTally]):
    name = "match"
    called = said("kind_match", "match")
    item = MatchItem
    public_item = PublicMatch
    answer = MatchAnswer
    key_model = MatchKey
    tally_model = MatchTally
    text_fields = ("pairs", "extra")

    def check(self, item: MatchItem) -> list[Problem]:
        left = [Line(id=p.id, text=_left_key(p)) for p in item.pairs]
        right = [Line(id=p.partner_id, text=p.right) for p in item.pairs]
        problems = [*common_problems(item), *line_problems(left, "pairs", LEFT)]
        problems += [
            *line_problems(right, "pairs", RIGHT, may_repeat=True),
            *line_problems(item.extra, "extra", EXTRA),
        ]
        problems += [*_extra_problems(item), *_media_problems(item)]
        if len(item.pairs) < FEWEST:
            problems.append(wrong(said("two_pairs_wanted", "Give at least two pairs."), "pairs"))
        return problems

    def public(self, item: MatchItem, secret: str = "") -> PublicMatch:
        left = [PublicLine(id=p.id, html=inline_html(p.left), media=p.left_media) for p in item.pairs]
        right = [public_line(line) for line in shuffled(_right_lines(item), item.id, secret)]
        return PublicMatch.model_validate({**public_fields(item), "left": left, "right": right})

    def texts(self, item: MatchItem) -> list[str]:
        pairs = [text for p in item.pairs for text in (p.left, p.right)]
        return [item.prompt, *pairs, *(x.text for x in item.extra), item.explanation]

    def mixed(self, item: MatchItem, rng: Random) -> MatchItem:
        return item.model_copy(update={"pairs": tuple(rng.sample(item.pairs, len(item.pairs)))})

    def key(self, item: MatchItem) -> MatchKey | None:
        if not item.scored:
            return None
        pairs = sorted(item.pairs, key=lambda p: p.id)
        return MatchKey(matched=tuple(Matched(left=p.id, right=p.partner_id) for p in pairs))

    def accept(self, item: MatchItem, answer: MatchAnswer) -> None:
        left = [m.left for m in answer.matched]
        right = [m.right for m in answer.matched]
        if not left or len(set(left)) != len(left) or len(set(right)) != len(right):
            raise BadAnswer(said("one_partner_each", "Give each line one partner of its own."))
        if not set(left) <= {p.id for p in item.pairs} or not set(right) <= _right_ids(item):
            raise BadAnswer

    def settled(self, item: MatchItem, answer: MatchAnswer) -> MatchAnswer:
        if not _has_alike(item):
            return answer
        texts = _keys(item)
        given = [(m.left, m.right) for m in answer.matched]
        pairs = as_pairs(given, [(p.id, p.partner_id) for p in item.pairs], *texts, right_once=True)
        return MatchAnswer(matched=tuple(Matched(left=one, right=other) for one, other in pairs))

    def score(self, item: MatchItem, answer: MatchAnswer) -> float | None:
        if not item.scored:
            return None
        answer = self.settled(item, answer)
        wanted = {p.id: p.partner_id for p in item.pairs}
        right = sum(wanted[m.left] == m.right for m in answer.matched)
        return share_right(right, len(item.pairs), item.all_or_nothing)

    def tally(self, item: MatchItem, answers: Iterable[MatchAnswer]) -> MatchTally:
        alike = _has_alike(item)
        given = [(self.settled(item, answer) if alike else answer).matched for answer in answers]
        counts = Counter((m.left, m.right) for matched in given for m in matched)
        cells = tuple(MatchCount(left=left, right=right, count=c) for (left, right), c in sorted(counts.items()))
        return MatchTally(n=len(given), cells=cells)

    def given(self, item: MatchItem, answer: MatchAnswer) -> Given:
        return Given("matching", "multiple", "directedPair", tuple(f"{m.left} {m.right}" for m in answer.matched))

    def answer_text(self, item: MatchItem, answer: MatchAnswer) -> str:
        left, right = _names(item)
        return "; ".join(f"{left[m.left]} – {right[m.right]}" for m in answer.matched)

    def key_text(self, item: MatchItem) -> str:
        left, right = _names(item)
        return "; ".join(f"{left[p.id]} – {right[p.partner_id]}" for p in item.pairs) if item.scored else ""

    def short_text(self, item: MatchItem, answer: MatchAnswer) -> str:
        if item.scored:
            answer = self.settled(item, answer)
            wanted = {p.id: p.partner_id for p in item.pairs}
            right = sum(wanted[m.left] == m.right for m in answer.matched)
            return f"{right}/{len(item.pairs)}"
        letters = {x.id: LETTERS[index] for index, x in enumerate(_right_lines(item))}
        chosen = {m.left: letters[m.right] for m in answer.matched}
        return cut("".join(chosen.get(p.id, "·") for p in item.pairs))

    def count_rows(self, item: MatchItem, tally: MatchTally) -> list[CountRow]:
        left, right = _names(item)
        wanted = {(p.id, p.partner_id) for p in item.pairs}
        order = {p.id: index for index, p in enumerate(item.pairs)}
        cells = sorted(tally.cells, key=lambda cell: (order[cell.left], -cell.count))
        return [
            CountRow(
                left[cell.left],
                right[cell.right],
                cell.count,
                (cell.left, cell.right) in wanted if item.scored else None,
            )
            for cell in cells
        ]

    def say(self, row: CountRow) -> Message:
        return said("answer_with_partner", "“{line}” with “{partner}”", line=row.label, partner=row.text)

    def substance(self, item: MatchItem) -> Substance:
        pairs = tuple((p.left or in_words(p.left_media), p.right) for p in item.pairs)
        return Substance(pairs=pairs, shown=tuple(PairOf(p.left, p.right, p.left_media) for p in item.pairs))

    def take_over(self, substance: Substance, new_id: NewId) -> dict[str, object]:
        pairs = substance.pairs if len(substance.pairs) > 1 else ()
        pairs = pairs or tuple((member, name) for name, members in substance.groups for member in members)
        pairs = pairs or tuple((line, "") for line in substance.all_lines())
        return {"pairs": _pairs_of(pairs[:MOST], new_id)}

    def of_pairs(self, pairs: Sequence[Drawn], new_id: NewId) -> list[dict[str, object]]:
        """Questions of at most eight pairs each, and never one with a single pair."""
        return [
            {"prompt": FIND_PARTNERS, "pairs": _pairs_of([(p.left, p.right) for p in part], new_id)}
            for part in in_parts(pairs, PAIRS_IN_ONE)
            if len(part) >= FEWEST
        ]

    def pairing(self, item: MatchItem) -> Pairing | None:
        if not item.scored:
            return None
        left, right = _keys(item)
        wanted = tuple((p.id, p.partner_id) for p in item.pairs)
        return Pairing(wanted, tuple(right), {**left, **right}, once=True)

    def of_tries(self, item: MatchItem, tries: Tries) -> MatchAnswer | None:
        pairing = self.pairing(item)
        if pairing is None or not tries:
            return None
        pairs = pairing.first_of(tries)
        return MatchAnswer(matched=tuple(Matched(left=one, right=other) for one, other in pairs))

    def is_board(self, item: MatchItem) -> bool:
        return FEWEST <= len(item.pairs) <= PAIRS_IN_ONE

    def boards_of(self, pairs: Sequence[PairOf], new_id: NewId) -> list[dict[str, object]]:
        return [{"pairs": _pairs_of(part, new_id)} for part in in_parts(pairs, PAIRS_IN_ONE) if len(part) >= FEWEST]

    def to_lines(self, item: MatchItem) -> list[str]:
        pairs = [line for p in item.pairs for line in (entry("-", p.left, p.left_media), entry("=", p.right))]
        return [*pairs, *(entry("+", line.text) for line in item.extra)]

    def from_lines(self, lines: Sequence[str], new_id: NewId) -> dict[str, object]:
        left, right = entries(lines, ("-",)), texts(lines, "=")
        pairs = [PairOf(text, other, more.get("media")) for (_, text, more), other in zip(left, right, strict=False)]
        return {
            "pairs": _pairs_of(pairs, new_id),
            "extra": lines_of(texts(lines, "+"), new_id, 0),
        }

    def to_qti(self, item: MatchItem, sheet: QtiSheet) -> bool:
        sheet.media(item)
        left = names_of(pair.id for pair in item.pairs)
        rights = [(pair.partner_id, pair.right) for pair in item.pairs] + [(line.id, line.text) for line in item.extra]
        right = names_of((one for one, _ in rights), "R")
        pairs = [f"{left[pair.id]} {right[pair.partner_id]}" for pair in item.pairs]
        sources = [(left[pair.id], pair.left or in_words(pair.left_media)) for pair in item.pairs]
        sheet.pairs(
            item, sources, [(right[one], text) for one, text in rights], pairs, most=1, shares=not item.all_or_nothing
        )
        return True

    def imagine(self, item: MatchItem, ability: float, rng: Random) -> MatchAnswer:
        free = [x.id for x in _right_lines(item)]
        known = [p for p in item.pairs if item.scored and rng.random() < ability]
        matched = {p.id: p.partner_id for p in known}
        free = [one for one in free if one not in matched.values()]
        rng.shuffle(free)
        for p in item.pairs:
            if p.id not in matched and free:
                matched[p.id] = free.pop()
        return MatchAnswer(matched=tuple(Matched(left=a, right=b) for a, b in matched.items()))

    def samples(self) -> Sequence[Sample]:
        words = (("bâbord", "port"), ("tribord", "starboard"), ("la proue", "the bow"))
        pairs = tuple(Pair(id=f"a{i}", left=a, partner_id=f"z{7 - i}", right=b) for i, (a, b) in enumerate(words))
        extra = (Line(id="x1", text="the keel"),)
        item = MatchItem(id="match-french", prompt="What does it mean?", pairs=pairs, extra=extra)
        right = MatchAnswer(matched=tuple(Matched(left=p.id, right=p.partner_id) for p in pairs))
        half = MatchAnswer(matched=(Matched(left="a0", right="z7"), Matched(left="a1", right="x1")))
        strict = item.model_copy(update={"id": "match-strict", "all_or_nothing": True})
        free = item.model_copy(update={"id": "match-opinion", "scored": False})
        return [
            Sample(item, right, (half,)),
            Sample(strict, right, (half,)),
            Sample(free, None, (half, right)),
            _media_sample(),
        ]


def _media_sample() -> Sample:
    """Pictures and a sound, with a text beside one of them."""
    media: list[Media] = [
        Picture(media="light-fixed", description="A light that never goes out", width=400, height=300),
        Picture(media="light-flashing", description="A light that is mostly dark", width=400, height=300),
        Recording(media="horn", seconds=4.0, start=0.0, transcript="Two long blasts"),
    ]
    words = (("", "fixed"), ("by day", "flashing"), ("", "under way, making no way"))
    pairs = tuple(
        Pair(id=f"m{at}", left=left, left_media=one, partner_id=f"y{9 - at}", right=right)
        for at, ((left, right), one) in enumerate(zip(words, media, strict=True))
    )
    item = MatchItem(id="match-media", prompt="What is seen and heard?", pairs=pairs)
    right = MatchAnswer(matched=tuple(Matched(left=p.id, right=p.partner_id) for p in pairs))
    return Sample(item, right, (MatchAnswer(matched=(Matched(left="m0", right="y8"),)),))


def _pairs_of(pairs: Iterable[tuple[str, str] | PairOf], new_id: NewId) -> list[dict[str, object]]:
    return [
        {"id": new_id(), "left": one.left, "left_media": one.media, "partner_id": new_id(), "right": one.right}
        for one in (PairOf(*pair) for pair in pairs)
    ]


def _media_problems(item: MatchItem) -> list[Problem]:
    """A picture alone says nothing to who cannot see it."""
    said_of = "Describe the picture of left side {line} for those who cannot see it."
    return [
        unwise(said("left_picture_undescribed", said_of, line=at + 1), f"pairs.{at}")
        for at, pair in enumerate(item.pairs)
        if isinstance(pair.left_media, Picture) and not (plain(pair.left) or pair.left_media.description.strip())
    ]


def _extra_problems(item: MatchItem) -> list[Problem]:
    """An extra line that reads like a partner would be right, though it is meant to belong to nobody."""
    partners = {plain(p.right).casefold() for p in item.pairs}
    alike = [at for at, line in enumerate(item.extra) if plain(line.text).casefold() in partners]
    return [
        unwise(said("extra_line_alike", "Extra line {line} says the same as a right side.", line=at + 1), f"extra.{at}")
        for at in alike
    ]


def _right_ids(item: MatchItem) -> set[str]:
    return {p.partner_id for p in item.pairs} | {line.id for line in item.extra}


def _has_alike(item: MatchItem) -> bool:
    """Whether sides may stand for each other."""
    rights = (*(p.right for p in item.pairs), *(line.text for line in item.extra))
    alike = any_alike(tuple(map(_left_key, item.pairs))) or any_alike(rights)
    return item.scored and item.rules.version != FIRST and alike


def _left_key(pair: Pair) -> str:
    """What two left sides have in common that stand for each other: the text, and what is shown."""
    return f"{plain(pair.left)}\n{pair.left_media.media}" if pair.left_media else plain(pair.left)


def _right_lines(item: MatchItem) -> list[Line]:
    return [*(Line(id=p.partner_id, text=p.right) for p in item.pairs), *item.extra]


def _keys(item: MatchItem) -> tuple[dict[str, str], dict[str, str]]:
    """What each left and each right side reads like, by id."""
    return {p.id: _left_key(p) for p in item.pairs}, {x.id: plain(x.text) for x in _right_lines(item)}


def _names(item: MatchItem) -> tuple[dict[str, str], dict[str, str]]:
    """Each left and each right side in words, by id: a text, else what its medium shows, else its number."""
    left = {p.id: plain(p.left) or in_words(p.left_media) or str(at) for at, p in enumerate(item.pairs, start=1)}
    return left, {x.id: plain(x.text) for x in _right_lines(item)}


KIND = Match()
