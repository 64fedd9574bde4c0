"""Classify: each line goes into one of several groups."""

from collections import Counter
from collections.abc import Iterable, Sequence
from random import Random
from typing import Annotated, Literal

from pydantic import Field

from lantern.core.errors import BadAnswer
from lantern.core.messages import Message, said
from lantern.core.pairing import Pairing, Tries
from lantern.core.questions.companions import Given, NewId, PairOf, Sample, Substance
from lantern.core.questions.contract import Kind
from lantern.core.questions.items import (
    Answer,
    CountRow,
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
from lantern.core.questions.marking.equal import any_alike, as_pairs, texts_of
from lantern.core.questions.parts import (
    LETTERS,
    Line,
    LineWords,
    PublicLine,
    cut,
    line_problems,
    lines_of,
    public_line,
    share_right,
    shuffled,
)
from lantern.core.questions.qti import QtiSheet, names_of
from lantern.core.questions.richtext import plain
from lantern.core.questions.textform import entries, entry
from lantern.core.values import ShortId, Value

MOST_GROUPS, MOST_LINES = 6, 20
LINES_IN_ONE = 12
"""On a board of a game."""
WHERE_BELONGS = said("ask_group", "Where does each belong?")
GROUPS = LineWords(
    lambda line: said("group_empty", "Group {line} is empty.", line=line),
    lambda first, second: said(
        "groups_alike", "Group {first} and group {second} say the same.", first=first, second=second
    ),
)
MEMBERS = LineWords(
    lambda line: said("line_empty", "Line {line} is empty.", line=line),
    lambda first, second: said(
        "lines_alike", "Line {first} and line {second} say the same.", first=first, second=second
    ),
)


class Member(Line):
    """A line and the id of the group it belongs to."""

    group: ShortId | None = None


class ClassifyItem(Question):
    """Lines that read alike may stand for each other."""

    kind: Literal["classify"] = "classify"
    groups: Annotated[tuple[Line, ...], Field(max_length=MOST_GROUPS)] = ()
    members: Annotated[tuple[Member, ...], Field(max_length=MOST_LINES)] = ()
    all_or_nothing: bool = False


class PublicClassify(PublicItem):
    kind: Literal["classify"] = "classify"
    groups: tuple[PublicLine, ...]
    members: tuple[PublicLine, ...]


class Placed(Value):
    member: ShortId
    group: ShortId


class ClassifyAnswer(Answer):
    kind: Literal["classify"] = "classify"
    placed: Annotated[tuple[Placed, ...], Field(max_length=MOST_LINES)]


class ClassifyKey(Key):
    kind: Literal["classify"] = "classify"
    placed: tuple[Placed, ...]


class PlacedCount(Value):
    member: ShortId
    group: ShortId
    count: int


class ClassifyTally(Tally):
    """How often each line was put into each group; what never happened is left out."""

    kind: Literal["classify"] = "classify"
    cells: tuple[PlacedCount, ...]


class Classify(Kind[ClassifyItem, ClassifyAnswer, ClassifyTally]):
    name = "classify"
    called = said("kind_classify", "classify")
    item = ClassifyItem
    public_item = PublicClassify
    answer = ClassifyAnswer
    key_model = ClassifyKey
    tally_model = ClassifyTally
    text_fields = ("groups", "members")

    def check(self, item: ClassifyItem) -> list[Problem]:
        problems = [*common_problems(item), *line_problems(item.groups, "groups", GROUPS)]
        problems += line_problems(item.members, "members", MEMBERS)
        if len(item.groups) < 2:
            problems.append(wrong(said("two_groups_wanted", "Give at least two groups."), "groups"))
        if len(item.members) < 2:
            problems.append(
                wrong(said("two_members_wanted", "Give at least two lines to put into the groups."), "members")
            )
        known = {group.id for group in item.groups}
        for index, member in enumerate(item.members):
            if item.scored and member.group not in known:
                problems.append(
                    wrong(
                        said("member_without_group", "Say which group line {line} belongs to.", line=index + 1),
                        f"members.{index}",
                    )
                )
        return problems

    def public(self, item: ClassifyItem, secret: str = "") -> PublicClassify:
        members = [public_line(member) for member in shuffled(item.members, item.id, secret)]
        groups = [public_line(group) for group in item.groups]
        return PublicClassify.model_validate({**public_fields(item), "groups": groups, "members": members})

    def texts(self, item: ClassifyItem) -> list[str]:
        return [item.prompt, *(x.text for x in (*item.groups, *item.members)), item.explanation]

    def mixed(self, item: ClassifyItem, rng: Random) -> ClassifyItem:
        return item.model_copy(update={"groups": tuple(rng.sample(item.groups, len(item.groups)))})

    def key(self, item: ClassifyItem) -> ClassifyKey | None:
        if not item.scored:
            return None
        members = sorted(item.members, key=lambda m: m.id)
        return ClassifyKey(placed=tuple(Placed(member=m.id, group=m.group) for m in members if m.group))

    def accept(self, item: ClassifyItem, answer: ClassifyAnswer) -> None:
        members = [p.member for p in answer.placed]
        if not members or len(set(members)) != len(members):
            raise BadAnswer(said("one_group_each", "Put each line into one group."))
        if not set(members) <= {m.id for m in item.members}:
            raise BadAnswer
        if not {p.group for p in answer.placed} <= {g.id for g in item.groups}:
            raise BadAnswer

    def settled(self, item: ClassifyItem, answer: ClassifyAnswer) -> ClassifyAnswer:
        if not _has_alike(item):
            return answer
        given = [(p.member, p.group) for p in answer.placed]
        wanted = [(m.id, m.group) for m in item.members if m.group]
        pairs = as_pairs(given, wanted, texts_of(item.members), texts_of(item.groups), right_once=False)
        return ClassifyAnswer(placed=tuple(Placed(member=one, group=other) for one, other in pairs))

    def score(self, item: ClassifyItem, answer: ClassifyAnswer) -> float | None:
        if not item.scored:
            return None
        return share_right(_right(item, self.settled(item, answer)), len(item.members), item.all_or_nothing)

    def tally(self, item: ClassifyItem, answers: Iterable[ClassifyAnswer]) -> ClassifyTally:
        alike = _has_alike(item)
        given = [(self.settled(item, answer) if alike else answer).placed for answer in answers]
        counts = Counter((p.member, p.group) for placed in given for p in placed)
        cells = tuple(PlacedCount(member=m, group=g, count=c) for (m, g), c in sorted(counts.items()))
        return ClassifyTally(n=len(given), cells=cells)

    def given(self, item: ClassifyItem, answer: ClassifyAnswer) -> Given:
        return Given("matching", "multiple", "directedPair", tuple(f"{p.member} {p.group}" for p in answer.placed))

    def answer_text(self, item: ClassifyItem, answer: ClassifyAnswer) -> str:
        texts = {x.id: plain(x.text) for x in (*item.members, *item.groups)}
        return "; ".join(f"{texts[p.member]} – {texts[p.group]}" for p in answer.placed)

    def key_text(self, item: ClassifyItem) -> str:
        names = {group.id: plain(group.text) for group in item.groups}
        placed = (f"{plain(m.text)} – {names[m.group]}" for m in item.members if m.group)
        return "; ".join(placed) if item.scored else ""

    def short_text(self, item: ClassifyItem, answer: ClassifyAnswer) -> str:
        if item.scored:
            return f"{_right(item, self.settled(item, answer))}/{len(item.members)}"
        letters = {group.id: LETTERS[index] for index, group in enumerate(item.groups)}
        chosen = {p.member: letters[p.group] for p in answer.placed}
        return cut("".join(chosen.get(m.id, "·") for m in item.members))

    def count_rows(self, item: ClassifyItem, tally: ClassifyTally) -> list[CountRow]:
        texts = {x.id: plain(x.text) for x in (*item.members, *item.groups)}
        wanted = {m.id: m.group for m in item.members}
        order = {m.id: index for index, m in enumerate(item.members)}
        cells = sorted(tally.cells, key=lambda cell: (order[cell.member], -cell.count))
        return [
            CountRow(texts[c.member], texts[c.group], c.count, wanted[c.member] == c.group if item.scored else None)
            for c in cells
        ]

    def say(self, row: CountRow) -> Message:
        return said("answer_in_group", "“{line}” in “{group}”", line=row.label, group=row.text)

    def substance(self, item: ClassifyItem) -> Substance:
        groups = tuple((g.text, tuple(m.text for m in item.members if m.group == g.id)) for g in item.groups)
        pairs = tuple((member, name) for name, members in groups for member in members)
        return Substance(groups=groups, pairs=pairs, lines=tuple(m.text for m in item.members))

    def take_over(self, substance: Substance, new_id: NewId) -> dict[str, object]:
        groups = substance.groups or _grouped(substance.pairs)
        if len(groups) < 2:
            return {"members": lines_of(substance.all_lines()[:MOST_LINES], new_id, 2)}
        fields = self.of_groups(groups, new_id)[0]
        return {name: fields[name] for name in ("groups", "members")}

    def of_groups(self, groups: Sequence[tuple[str, tuple[str, ...]]], new_id: NewId) -> list[dict[str, object]]:
        named = [(new_id(), name, members) for name, members in groups[:MOST_GROUPS]]
        members = [{"id": new_id(), "text": text, "group": id_} for id_, _, inside in named for text in inside]
        return [
            {
                "prompt": WHERE_BELONGS,
                "groups": [{"id": id_, "text": name} for id_, name, _ in named],
                "members": members[:MOST_LINES],
            }
        ]

    def pairing(self, item: ClassifyItem) -> Pairing | None:
        wanted = tuple((m.id, m.group) for m in item.members if m.group)
        if not item.scored or len(wanted) < len(item.members):
            return None
        groups = tuple(group.id for group in item.groups)
        return Pairing(wanted, groups, texts_of([*item.members, *item.groups]), once=False)

    def of_tries(self, item: ClassifyItem, tries: Tries) -> ClassifyAnswer | None:
        pairing = self.pairing(item)
        if pairing is None or not tries:
            return None
        placed = pairing.first_of(tries)
        return ClassifyAnswer(placed=tuple(Placed(member=one, group=other) for one, other in placed))

    def is_board(self, item: ClassifyItem) -> bool:
        return len(item.groups) >= 2 and len(item.members) >= 2

    def boards_of(self, pairs: Sequence[PairOf], new_id: NewId) -> list[dict[str, object]]:
        """Where right sides repeat: these are the groups."""
        groups = _grouped([(pair.left, pair.right) for pair in pairs])
        if not 2 <= len(groups) <= MOST_GROUPS:
            return []
        members = [(member, name) for name, inside in groups for member in inside]
        number, found = -(-len(members) // LINES_IN_ONE), list[dict[str, object]]()
        for start in range(number):
            part = members[start::number]  # each board has of every group, as far as it goes
            names = {name: new_id() for name, _ in groups}
            lines = [{"id": new_id(), "text": text, "group": names[name]} for text, name in part]
            found.append({"groups": [{"id": id_, "text": name} for name, id_ in names.items()], "members": lines})
        return found

    def to_lines(self, item: ClassifyItem) -> list[str]:
        lines = []
        for group in item.groups:
            lines.append(entry("-", group.text))
            lines += [entry("=", member.text) for member in item.members if member.group == group.id]
        known = {group.id for group in item.groups}
        return lines + [entry("+", member.text) for member in item.members if member.group not in known]

    def from_lines(self, lines: Sequence[str], new_id: NewId) -> dict[str, object]:
        groups: list[dict[str, object]] = []
        members: list[dict[str, object]] = []
        for mark, text, _ in entries(lines, ("-", "=", "+")):
            if mark == "-":
                groups.append({"id": new_id(), "text": text})
            else:
                group = groups[-1]["id"] if mark == "=" and groups else None
                members.append({"id": new_id(), "text": text, "group": group})
        return {"groups": groups, "members": members}

    def to_qti(self, item: ClassifyItem, sheet: QtiSheet) -> bool:
        sheet.media(item)
        groups = names_of((group.id for group in item.groups), "R")
        members = names_of(member.id for member in item.members)
        pairs = [f"{members[m.id]} {groups[m.group]}" for m in item.members if m.group in groups]
        sources = [(members[member.id], member.text) for member in item.members]
        sheet.pairs(
            item, sources, [(groups[g.id], g.text) for g in item.groups], pairs, most=0, shares=not item.all_or_nothing
        )
        return True

    def imagine(self, item: ClassifyItem, ability: float, rng: Random) -> ClassifyAnswer:
        groups = [group.id for group in item.groups]
        placed = []
        for member in item.members:
            knows = item.scored and member.group is not None and rng.random() < ability
            placed.append(Placed(member=member.id, group=(member.group if knows else None) or rng.choice(groups)))
        return ClassifyAnswer(placed=tuple(placed))

    def samples(self) -> Sequence[Sample]:
        groups = (Line(id="G1", text="Standing rigging"), Line(id="G2", text="Running rigging"))
        names = (("Forestay", "G1"), ("Main sheet", "G2"), ("Shroud", "G1"), ("Halyard", "G2"))
        members = tuple(Member(id=f"m{7 * i % 5}", text=text, group=g) for i, (text, g) in enumerate(names))
        item = ClassifyItem(id="classify-ropes", prompt="Where does it belong?", groups=groups, members=members)
        right = ClassifyAnswer(placed=tuple(Placed(member=m.id, group=m.group or "") for m in members))
        all_first = ClassifyAnswer(placed=tuple(Placed(member=m.id, group="G1") for m in members))
        free = item.model_copy(update={"id": "classify-opinion", "scored": False})
        return [Sample(item, right, (all_first,)), Sample(free, None, (all_first, right))]


def _grouped(pairs: Sequence[tuple[str, str]]) -> tuple[tuple[str, tuple[str, ...]], ...]:
    """Pairs whose right sides repeat, as groups."""
    names = list(dict.fromkeys(right for _, right in pairs))
    if len(names) == len(pairs):
        return ()
    return tuple((name, tuple(left for left, right in pairs if right == name)) for name in names)


def _has_alike(item: ClassifyItem) -> bool:
    """Whether lines or groups may stand for each other."""
    alike = any_alike(tuple(x.text for x in item.members)) or any_alike(tuple(x.text for x in item.groups))
    return item.scored and item.rules.version != FIRST and alike


def _right(item: ClassifyItem, answer: ClassifyAnswer) -> int:
    wanted = {m.id: m.group for m in item.members}
    return sum(wanted[p.member] == p.group for p in answer.placed)


KIND = Classify()
