"""Parts that read alike (docs/kinds.md, P1 to P3): which of them was taken makes no difference."""

from itertools import count, permutations
from random import Random

import pytest
from hypothesis import given
from hypothesis import strategies as st

from lantern.core.formats.item_text import write_item
from lantern.core.formats.markdown import read_set
from lantern.core.questions import kind_of
from lantern.core.questions.kinds import classify, match, order
from lantern.core.questions.marking import FIRST, Rules
from lantern.core.questions.parts import Line
from lantern.core.questions.recast import turned

CAT = ("the", "cat", "sat", "on", "the", "mat")
texts = st.lists(st.sampled_from("abc"), min_size=3, max_size=6)


def in_order(*lines, **more):
    return order.OrderItem(
        id="o", prompt="?", lines=tuple(Line(id=f"L{n}", text=line) for n, line in enumerate(lines)), **more
    )


def a_match(*pairs, **more):
    made = tuple(match.Pair(id=f"l{n}", left=a, partner_id=f"r{n}", right=b) for n, (a, b) in enumerate(pairs))
    return match.MatchItem(id="m", prompt="?", pairs=made, **more)


def matched(*pairs):
    return match.MatchAnswer(matched=tuple(match.Matched(left=a, right=b) for a, b in pairs))


def test_whoever_knows_it_has_all_of_it_p1():
    swapped = order.OrderAnswer(order=("L4", "L1", "L2", "L3", "L0", "L5"))
    for marking in ("pairs", "exact"):
        assert order.KIND.score(in_order(*CAT, marking=marking), swapped) == 1
    animals = a_match(("dog", "mammal"), ("cat", "mammal"), ("gull", "bird"))
    crossed = matched(("l0", "r1"), ("l1", "r0"), ("l2", "r2"))
    assert match.KIND.score(animals, crossed) == 1
    assert match.KIND.short_text(animals, crossed) == "3/3"
    twice = a_match(("bank", "of a river"), ("bank", "for money"))
    assert match.KIND.score(twice, matched(("l0", "r1"), ("l1", "r0"))) == 1


def test_equal_lines_that_belong_to_different_groups_are_one_of_each_p1():
    groups = (Line(id="g0", text="Sea"), Line(id="g1", text="Shore"))
    members = tuple(classify.Member(id=f"m{n}", text="crab", group=f"g{n}") for n in (0, 1))
    item = classify.ClassifyItem(id="c", prompt="?", groups=groups, members=members)

    def placed(*groups):
        return classify.ClassifyAnswer(
            placed=tuple(classify.Placed(member=f"m{n}", group=group) for n, group in enumerate(groups))
        )

    assert [classify.KIND.score(item, placed(*g)) for g in (("g0", "g1"), ("g1", "g0"), ("g0", "g0"))] == [1, 1, 0.5]


@given(texts, st.randoms(use_true_random=False))
def test_swapping_equal_lines_changes_no_mark_and_no_count_p1(lines, rng):
    for item in (in_order(*lines), in_order(*lines, marking="exact")):
        answer = order.KIND.imagine(item, 0.2, rng)
        marks, tallies = set(), set()
        for swapped in _swaps(item.lines):
            other = order.OrderAnswer(order=tuple(swapped[one] for one in answer.order))
            marks.add(order.KIND.score(item, other))
            tallies.add(order.KIND.tally(item, [other]).model_dump_json())
        assert (len(marks), len(tallies)) == (1, 1)


@given(st.lists(st.tuples(st.sampled_from("ab"), st.sampled_from("xy")), min_size=2, max_size=5), st.integers(0, 99))
def test_swapping_equal_sides_changes_no_mark_p1(pairs, seed):
    item = a_match(*pairs, extra=(Line(id="e0", text="x"),))
    answer = match.KIND.imagine(item, 0.3, Random(seed))
    rights = [Line(id=p.partner_id, text=p.right) for p in item.pairs]
    marks = {
        match.KIND.score(item, matched(*((m.left, swapped.get(m.right, m.right)) for m in answer.matched)))
        for swapped in _swaps(rights)
    }
    assert len(marks) == 1
    settled = match.KIND.settled(item, answer)
    match.KIND.accept(item, settled)
    assert match.KIND.settled(item, settled) == settled
    assert match.KIND.answer_text(item, settled) == match.KIND.answer_text(item, answer)


def _swaps(lines):
    """Every way to exchange lines that read alike, as a mapping of ids."""
    by_text = {}
    for line in lines:
        by_text.setdefault(line.text, []).append(line.id)
    found = [{}]
    for ids in by_text.values():
        found = [known | dict(zip(ids, way, strict=True)) for known in found for way in permutations(ids)]
    return found[:60]


def test_pairs_shown_and_counted_are_those_that_belong_together_p2():
    animals = a_match(("dog", "mammal"), ("cat", "mammal"))
    tally = match.KIND.tally(animals, [matched(("l0", "r1"), ("l1", "r0")), matched(("l0", "r0"), ("l1", "r1"))])
    assert [(cell.left, cell.right, cell.count) for cell in tally.cells] == [("l0", "r0", 2), ("l1", "r1", 2)]
    assert all(row.right for row in match.KIND.count_rows(animals, tally))


@pytest.mark.parametrize("item", [in_order(*CAT), a_match(("dog", "mammal"), ("cat", "mammal"), ("gull", "bird"))])
def test_equal_parts_are_kept_on_every_way_out_and_back_p3(item):
    numbers = count()
    read, misread = read_set(write_item(item), lambda: f"new{next(numbers)}")
    assert misread == []
    assert kind_of(item).texts(read.items[0]) == kind_of(item).texts(item)


def test_groups_turned_into_pairs_and_back_keep_every_text_p3_k6():
    groups = (Line(id="g0", text="Birds"), Line(id="g1", text="Fish"))
    lines = (("gull", "g0"), ("tern", "g0"), ("cod", "g1"))
    members = tuple(classify.Member(id=f"m{n}", text=text, group=g) for n, (text, g) in enumerate(lines))
    item = classify.ClassifyItem(id="c", prompt="?", groups=groups, members=members)
    numbers = count()
    pairs = turned(item, "match", lambda: f"n{next(numbers)}")
    assert [(p.left, p.right) for p in pairs.pairs] == [("gull", "Birds"), ("tern", "Birds"), ("cod", "Fish")]
    back = turned(pairs, "classify", lambda: f"n{next(numbers)}")
    names = {group.id: group.text for group in back.groups}
    assert [(m.text, names[m.group]) for m in back.members] == [("gull", "Birds"), ("tern", "Birds"), ("cod", "Fish")]


def test_the_first_rules_told_equal_lines_apart_r1():
    swapped = order.OrderAnswer(order=("L4", "L1", "L2", "L3", "L0", "L5"))
    assert order.KIND.score(in_order(*CAT).under(Rules(FIRST)), swapped) < 1
