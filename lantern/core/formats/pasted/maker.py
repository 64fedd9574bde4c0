"""What becomes of a block that is no single question: an exercise, words in groups, pairs, a page."""

from collections.abc import Iterator
from dataclasses import dataclass, replace
from typing import Any

from pydantic import ValidationError

from lantern.core.formats.exchange import Entry, line_place
from lantern.core.formats.pasted.asking import Found, may_ask
from lantern.core.formats.pasted.block import Block
from lantern.core.formats.pasted.fields import match_fields
from lantern.core.formats.pasted.groups import Groups, classify_fields, of_pairs
from lantern.core.formats.pasted.literal import literal
from lantern.core.formats.pasted.oddities import odd
from lantern.core.formats.pasted.pairs import PairList
from lantern.core.formats.pasted.words import (
    COLONS_AS_PAIRS,
    COMMAS_AS_PAIRS,
    LISTS_AS_GROUPS,
    MAY_ASK,
    NO_QUESTION,
    left_out,
)
from lantern.core.messages import Message, said
from lantern.core.questions import read_item
from lantern.core.questions.companions import NewId
from lantern.core.questions.items import Item
from lantern.core.questions.kinds.match import PAIRS_IN_ONE
from lantern.core.sentences import message_of

LONGEST_PAGE = 4000


@dataclass(frozen=True, slots=True)
class Maker:
    """Makes items, and the entries of whole blocks, in the language of the set."""

    new_id: NewId
    language: str

    def item(self, fields: dict[str, Any]) -> Item | Message:
        try:
            return read_item.validate_python(fields | {"id": self.new_id()})
        except ValidationError as error:
            problem = error.errors()[0]
            place = ".".join(str(part) for part in problem["loc"][1:])
            return said("at_place", "{place}: {what}", place=place, what=message_of(problem))

    def exercise(self, block: Block) -> Found:
        exercise = block.exercise
        assert exercise is not None
        place = line_place(block.at)
        if exercise.pairs is None:
            unsaid = (
                "Nothing says what belongs together. Add a line “Answer: 1-b, 2-a”, or write each pair in one line."
            )
            return Found(
                block.at, Entry(place=place, text=block.text, sentences=(said("pairs_unsaid", unsaid),), sure=False)
            )
        partners = {right for _, right in exercise.pairs}
        pairs = [(literal(exercise.left[one]), literal(exercise.right[other])) for one, other in exercise.pairs]
        fields = match_fields(literal(exercise.prompt), pairs, self.new_id, self.language)
        extra = [text for at, text in enumerate(exercise.right) if at not in partners]
        fields |= {"extra": [{"id": self.new_id(), "text": text} for text in extra]} if extra else {}
        item = self.item(fields)
        if isinstance(item, Message):
            return Found(block.at, Entry(place=place, text=block.text, sentences=(item,), sure=False))
        used = (exercise.prompt, *exercise.left, *exercise.right)
        rows = block.lines[: exercise.rows_end - exercise.first]
        apart = [line for line in rows if not line.is_blank and not any(text and text in line.text for text in used)]
        sentences = tuple(left_out(line.source) for line in apart)
        return Found(block.at, Entry(place=place, text=block.text, item=item, sentences=sentences))

    def groups(self, block: Block, groups: Groups) -> Found:
        place = line_place(block.at)
        item = self.item(classify_fields(_literal(groups), self.new_id, self.language))
        if isinstance(item, Message):
            return Found(block.at, Entry(place=place, text=block.text, sentences=(item,), sure=False))
        told = () if groups.is_whole else (LISTS_AS_GROUPS,)
        return Found(block.at, Entry(place=place, text=block.text, item=item, sentences=told, sure=groups.is_whole))

    def pairs(self, block: Block, pairs: PairList) -> Iterator[Found]:
        for at in range(0, len(pairs.pairs), PAIRS_IN_ONE):
            some = [(literal(left), literal(right)) for left, right in pairs.pairs[at : at + PAIRS_IN_ONE]]
            groups = of_pairs(literal(pairs.prompt), some)
            fields = (
                classify_fields(groups, self.new_id, self.language)
                if groups
                else match_fields(literal(pairs.prompt), some, self.new_id, self.language)
            )
            item = self.item(fields)
            place = line_place(block.at)
            if isinstance(item, Message):
                yield Found(block.at, Entry(place=place, text=block.text, sentences=(item,), sure=False))
            else:
                strange = odd(fields)
                doubts = (
                    _taken_as_heading(pairs.guessed) if pairs.guessed else None,
                    COLONS_AS_PAIRS if pairs.by_colon else COMMAS_AS_PAIRS if pairs.by_comma else None,
                    strange,
                )
                sentences = tuple(filter(None, doubts))
                yield Found(
                    block.at, Entry(place=place, text=block.text, item=item, sentences=sentences, sure=not sentences)
                )

    def prose(self, block: Block, *, wanted: bool) -> Found:
        """What asks nothing, as a page: `wanted`, or only offered."""
        heading, _, body = block.text.strip().partition("\n")
        fields = {
            "kind": "page",
            "prompt": literal(heading.strip().strip("*# "))[:LONGEST_PAGE],
            "body": literal(body.strip())[:LONGEST_PAGE],
        }
        if may_ask(block.text):
            told = (MAY_ASK,)
            return Found(
                block.at, Entry(place=line_place(block.at), text=block.source.strip(), sentences=told, sure=False)
            )
        item = self.item(fields)
        page = None if isinstance(item, Message) else item
        sentences = () if wanted else (NO_QUESTION,)
        if len(body.strip()) > LONGEST_PAGE or len(heading) > LONGEST_PAGE:
            only = "A page holds {most} characters: what goes beyond them is left out."
            sentences = (*sentences, said("page_too_long", only, most=LONGEST_PAGE))
        return Found(
            block.at,
            Entry(
                place=line_place(block.at), text=block.source.strip(), item=page, sentences=sentences, out=not wanted
            ),
        )


def _taken_as_heading(row: str) -> Message:
    return said("row_as_heading", "“{row}” was taken as the heading of the pairs.", row=row[:80])


def _literal(groups: Groups) -> Groups:
    return replace(
        groups,
        prompt=literal(groups.prompt),
        names=tuple(map(literal, groups.names)),
        members=tuple((literal(word), at) for word, at in groups.members),
    )
