"""Makes items of pasted text.

1. What is marked in any of the usual ways is right: a star, a tick, bold letters, "(correct)", an answer line,
   a key at the end.
2. What cannot be told is said, with its line; nothing is guessed about what is right. Where a line can be read in two
   ways, both are shown.
3. Every line that says something is in an item, in the title, in a sentence that tells that it was left out, or in an
   entry that is out: offered as a page, and not taken unless it is wanted.
"""

from collections.abc import Callable, Iterator, Mapping, Sequence
from dataclasses import replace
from typing import Any

from lantern.core.formats.exchange import MOST_ENTRIES, Alternative, Entry, Incoming, line_place
from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.alone import with_labels, with_letters, with_numbers
from lantern.core.formats.pasted.asking import (
    Found,
    asks,
    beside_the_key,
    counted_twice,
    is_passage,
    unsure,
    waits,
    with_doubts,
)
from lantern.core.formats.pasted.block import Block
from lantern.core.formats.pasted.blocks import Cut, cut
from lantern.core.formats.pasted.capitals import CAPITALS_AS_KEY, marked_by_capitals
from lantern.core.formats.pasted.columns import one_column, one_to_a_line
from lantern.core.formats.pasted.fields import fields_of, seems_answered
from lantern.core.formats.pasted.given import (
    banks_of,
    gives_numbered_gaps,
    with_asking_lines,
    with_options_from_above,
    with_sentences_of_gaps,
)
from lantern.core.formats.pasted.groups import groups_of
from lantern.core.formats.pasted.keys import with_key_last
from lantern.core.formats.pasted.lists import counted_pairs, with_items_counted, with_signs_said
from lantern.core.formats.pasted.made import Made
from lantern.core.formats.pasted.maker import Maker
from lantern.core.formats.pasted.neighbours import beside_others
from lantern.core.formats.pasted.oddities import odd
from lantern.core.formats.pasted.pairs import pairs_of
from lantern.core.formats.pasted.parts import Parts, taken_apart
from lantern.core.formats.pasted.rare.tidy import tidy
from lantern.core.formats.pasted.several import several_in
from lantern.core.formats.pasted.source import Line, lines_of, says_who_wrote
from lantern.core.formats.pasted.tables import Table, is_headed, tables_in
from lantern.core.formats.pasted.tails import without_tails
from lantern.core.formats.pasted.usual import looked_over
from lantern.core.formats.pasted.words import (
    glued,
    left_out,
    unusual,
)
from lantern.core.formats.sheet_rows import read_rows
from lantern.core.formats.weights import weigh
from lantern.core.messages import Message, said
from lantern.core.questions.companions import NewId

LONGEST_TEXT, MOST_LINES = 400_000, 20_000
MOST_SECONDS, FEWEST_SECONDS = 1200, 5
FEWEST_IN_A_ROW = 3


def read_pasted(text: str, new_id: NewId, language: str = "", choices: Mapping[str, str] | None = None) -> Incoming:
    """Every block of the text as an entry, understood or not. `language` is what numbers are written in, `choices`
    are for the tables in it."""
    incoming = Incoming()
    lines = lines_of(text[: LONGEST_TEXT + 1])
    if len(text) > LONGEST_TEXT or len(lines) > MOST_LINES:
        long = "This text is too long to be read at once. It was read up to line {line}: paste the rest afterwards."
        lines = lines[:MOST_LINES]
        incoming.note(said("text_too_long", long, line=lines[-1].at))
    try:
        found = sorted(_found_in(lines, _Reader(new_id, language, choices or {}), incoming), key=lambda one: one.at)
        found = looked_over(lines, found)
    finally:
        line_of.forget()
    incoming.entries = [one.entry for one in found[:MOST_ENTRIES]]
    if len(found) > MOST_ENTRIES:
        incoming.note(said("only_first_questions", "Only the first {most} questions were read.", most=MOST_ENTRIES))
    weigh(incoming, [one.points for one in found[:MOST_ENTRIES]])
    return incoming


def _found_in(lines: list[Line], reader: "_Reader", incoming: Incoming) -> Iterator[Found]:
    wrote = [line for line in lines if says_who_wrote(line.text)]
    pages = [line for at, line in enumerate(lines) if _is_page_number(lines, at)]
    beside = [Block([line]) for line in wrote] + ([Block(pages)] if pages else [])
    yield from (reader.maker.prose(block, wanted=False) for block in beside)
    taken = {line.at for line in (*wrote, *pages)}
    lines = [line.saying("") if line.at in taken else line for line in lines]
    for step in _BEFORE:
        lines = step(lines)
    marked = marked_by_capitals(lines)
    if marked is not None:
        incoming.note(CAPITALS_AS_KEY)
    yield from reader.entries_of(marked or lines, incoming)


_BEFORE: tuple[Callable[[list[Line]], list[Line]], ...] = (
    one_column,
    one_to_a_line,
    with_key_last,
    with_labels,
    with_numbers,
    with_letters,
    with_signs_said,
    tidy,
    with_items_counted,
)
"""What is done to the lines before they are cut, in this order."""


class _Reader:
    def __init__(self, new_id: NewId, language: str, choices: Mapping[str, str]) -> None:
        self._new_id, self._language, self._choices = new_id, language, choices
        self.maker = Maker(new_id, language)

    def entries_of(self, lines: list[Line], incoming: Incoming) -> Iterator[Found]:
        rest, tables = _without_tables(lines)
        for table in tables:
            yield from self._rows(table, incoming)
        lines = rest
        whole = _joined(lines)
        if whole.filled and (groups := groups_of(whole.text)) is not None:
            yield self.maker.groups(whole, groups)
            return
        if whole.filled and (pairs := pairs_of(whole.text)) is not None:  # numbered words are no numbered questions
            if pairs.title:
                incoming.title = pairs.title[:200]
            yield from self.maker.pairs(whole, replace(pairs, by_colon=False))  # there is nothing else that it could be
            return
        listed = counted_pairs(lines)
        if listed is not None:
            first, end, pairs = listed
            yield from self.maker.pairs(Block(lines[first:end]), pairs)
            lines = [*lines[:first], *(line.saying("") for line in lines[first:end]), *lines[end:]]
        cuts = cut(lines)
        if cuts.title:
            incoming.title = cuts.title.text.strip("*_ ")[:200]
        cuts.blocks = with_sentences_of_gaps(cuts)
        cuts.blocks = with_options_from_above(cuts)
        cuts.blocks = with_asking_lines(without_tails(cuts.blocks))
        given = gives_numbered_gaps(cuts)
        banks = banks_of(cuts.blocks)
        wanted = zip(cuts.blocks[: MOST_ENTRIES + 1], banks, strict=False)  # of more, nothing is shown
        blocks = [(block, *self._read(block, cuts, bank)) for block, bank in wanted]
        lone = _in_a_row([block for block, _, _ in blocks])
        asking = [asks(block, parts) or any(block is one for one in lone) for block, parts, _ in blocks]
        if blocks and not tables and not listed and not any(asking):
            incoming.title = ""
            yield self.maker.prose(_joined(lines), wanted=False)
            return
        read = with_doubts(counted_twice(beside_the_key(blocks, cuts.key), cuts.key))
        for block, parts, found in beside_others(read, cuts.key):
            is_asked = parts is None or asks(block, parts) or any(block is one for one in lone)
            if parts is not None and not is_asked and not waits(block, found):
                yield self.maker.prose(block, wanted=is_passage(block))
            else:
                yield from found
        unused = [] if given else cuts.key.unused((block.section, block.number) for block in cuts.blocks)
        for line in (*cuts.passed, *cuts.key.left, *unused):
            yield self.maker.prose(Block([line]), wanted=False)

    def _rows(self, table: Table, incoming: Incoming) -> Iterator[Found]:
        """A table among the lines, read as a sheet."""
        found = read_rows(table.rows, self._choices, self._new_id, self._language)
        incoming.columns = incoming.columns or found.columns
        incoming.asks += [ask for ask in found.asks if ask not in incoming.asks]
        for note in found.notes:
            incoming.note(note)
        for entry in found.entries:
            at = table.places[_row_of(entry)]
            entry = entry.model_copy(update={"place": line_place(at)})
            is_known = is_headed(table) or entry.item is None
            yield Found(at, entry if is_known else unsure(entry, unusual(entry.text)), is_row=True)

    def _read(self, block: Block, cuts: Cut, bank: tuple[str, ...] = ()) -> tuple[Parts | None, list[Found]]:
        """(the parts of the block, where it has some; what it is)."""
        if block.exercise is not None:
            return None, [self.maker.exercise(block)]
        key = cuts.key.of(block.section, block.number)
        groups = groups_of(block.text) if key is None else None
        if groups is not None:
            return None, [self.maker.groups(block, groups)]
        pairs = pairs_of(block.text) if key is None else None
        if pairs is not None:
            return None, list(self.maker.pairs(block, pairs))
        several = self._several(block, key, cuts)
        return (None, several) if several is not None else self._question(block, key, bank)

    def _several(self, block: Block, key: str | None, cuts: Cut) -> list[Found] | None:
        """The questions that one block holds, with what stands around them; None where it is one question."""
        several = several_in(block, key)
        if several is None:
            return None
        above, below = several.above, several.below
        around = [*([(above, is_passage(above))] if above.filled else []), *([(below, False)] if below.filled else [])]
        shown = several.asked[: MOST_ENTRIES + 1]  # of more, nothing is shown
        asked = [found for one in shown for found in self._read(one, cuts)[1]]
        return [*(self.maker.prose(one, wanted=wanted) for one, wanted in around), *asked]

    def _question(self, block: Block, key: str | None, bank: tuple[str, ...]) -> tuple[Parts, list[Found]]:
        parts, made = self._taken(block, key, bank, glues=True)
        text = f"{block.text}\nAnswer: {key}" if key else block.text
        place = line_place(block.at)
        if made.fields is None and not made.readings:
            sentences = (*made.sentences, *map(left_out, parts.left))
            return parts, [
                Found(block.at, Entry(place=place, text=text, sentences=sentences, sure=False), parts.points)
            ]
        sentences = (*made.sentences, *map(glued, parts.glued), *map(left_out, parts.left))
        readings = list(made.readings.values())
        if parts.glued and made.fields is not None:
            parts_apart, apart = self._taken(block, key, bank, glues=False)
            if apart.fields is not None and not apart.readings:
                also = said(
                    "line_not_glued", "“{line}” belongs to no option: it is left out.", line=parts.glued[0][:80]
                )
                readings = [(glued(parts.glued[0]), made.fields), (also, self._with_facts(apart, parts_apart))]
        entry = self._entry(block, text, made, parts, sentences, readings)
        return parts, [Found(block.at, entry, parts.points)]

    def _taken(self, block: Block, key: str | None, bank: tuple[str, ...], *, glues: bool) -> tuple[Parts, Made]:
        parts = taken_apart(block, glues=glues, keyed=key is not None)
        parts.bank = parts.bank or bank
        told = parts.answer
        parts.answer = key if told is None else told
        made = fields_of(parts, self._new_id, self._language)
        if parts.bank_line and (made.fields or {}).get("way") != "bank":
            parts.left.append(parts.bank_line)
        if key and (told is not None or any(option.right for option in parts.options)) and made.fields is not None:
            other = fields_of(replace(parts, answer=key), self._new_id, self._language)
            if other.fields is None or _right_in(other.fields) != _right_in(made.fields):
                made.sentences.append(
                    said(
                        "key_differs",
                        "The key at the end says “{key}”, the question itself something else.",
                        key=key[:80],
                    )
                )
                made.sure = False
        return parts, made

    def _with_facts(self, made: Made, parts: Parts, fields: dict[str, Any] | None = None) -> dict[str, Any]:
        fields = dict((made.fields if fields is None else fields) or {})
        why = "\n".join([*filter(None, [made.why]), *parts.why])
        fields |= {"explanation": why, "tags": tuple(parts.tags[:20]), "by": parts.by}
        if parts.seconds is not None:
            fields["time_limit"] = max(FEWEST_SECONDS, min(MOST_SECONDS, parts.seconds))
        return fields

    def _entry(
        self, block: Block, text: str, made: Made, parts: Parts,
        sentences: Sequence[Message], readings: list[tuple[Message, dict[str, Any]]],
    ) -> Entry:  # fmt: skip
        place = line_place(block.at)
        sure = made.sure and not parts.glued and not parts.answered_twice and not parts.unread
        shown = []
        for says, fields in readings:
            item = self.maker.item(self._with_facts(made, parts, fields))
            if not isinstance(item, Message):
                shown.append(Alternative(says=says, item=item))
        if made.fields is None:
            return Entry(place=place, text=text, sentences=tuple(sentences), sure=False, readings=tuple(shown))
        fields = self._with_facts(made, parts)
        item = self.maker.item(fields)
        if isinstance(item, Message):
            return Entry(place=place, text=text, sentences=(item,), sure=False)
        strange = odd(fields, block)
        if strange is not None:
            sure, sentences = False, [*sentences, strange]
        return Entry(place=place, text=text, item=item, sentences=tuple(sentences), sure=sure, readings=tuple(shown))


def _is_page_number(lines: list[Line], at: int) -> bool:
    if line_of.is_slide_number(lines[at].text) and not lines[at].code:
        return True
    around = [*lines[max(0, at - 1) : at], *lines[at + 1 : at + 2]]
    return not lines[at].code and line_of.is_page_number(lines[at].text) and all(line.is_blank for line in around)


def _in_a_row(blocks: list[Block]) -> list[Block]:
    """Questions of one line each, with a few words behind them, where several are so."""
    alike = [block for block in blocks if len(block.filled) == 1 and seems_answered(block.text)]
    return alike if len(alike) >= FEWEST_IN_A_ROW else []


def _right_in(fields: dict[str, Any]) -> object:
    """What is right in the fields of an item, whatever the ids of its parts."""
    if "options" in fields:
        return [option["right"] for option in fields["options"]]
    return {name: fields[name] for name in ("accepts", "value", "text") if name in fields}


def _joined(lines: list[Line]) -> Block:
    return Block(list(lines))


def _row_of(entry: Entry) -> int:
    return int(str(entry.place.params["number"])) - 1


def _without_tables(lines: list[Line]) -> tuple[list[Line], list[Table]]:
    """(the lines without the tables of questions among them, the tables)."""
    tables = tables_in(lines)
    kept, at = [], 0
    for table in tables:
        kept += [*lines[at : table.first], lines[table.first].saying("")]
        at = table.end
    return [*kept, *lines[at:]], tables
