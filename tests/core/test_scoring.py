"""Scoring, exactly: each kind's rules by example, and what holds for all answers by property."""

from collections import Counter
from random import Random

import pytest
from hypothesis import given
from hypothesis import strategies as st

from lantern.core.errors import BadAnswer
from lantern.core.questions.items import Picture
from lantern.core.questions.kinds import (
    classify,
    gap_fill,
    letter,
    match,
    open_response,
    order,
    point,
    point_split,
    rating_scale,
    slider,
    text_entry,
    word_cloud,
)
from lantern.core.questions.marking.spelling import Strictness
from lantern.core.questions.parts import Line
from lantern.core.questions.places import Ellipse, Rectangle, Spot

WINDS = tuple(Line(id=f"L{i}", text=f"Wind {i}") for i in range(5))
IDS = tuple(line.id for line in WINDS)


def text_item(*accepts, language="en", **strictness):
    return text_entry.TextEntryItem(
        id="t", prompt="?", accepts=accepts, language=language, strictness=Strictness(**strictness)
    )


def typed(text):
    return text_entry.TextEntryAnswer(text=text)


# --- text entry -----------------------------------------------------------------------------------


@given(
    st.lists(st.text(min_size=1, max_size=8), min_size=1, max_size=4),
    st.text(max_size=12),
    st.text(min_size=1, max_size=8),
)
def test_one_more_accepted_spelling_never_scores_less_k3(accepts, text, more):
    before = text_entry.KIND.score(text_item(*accepts), typed(text)) or 0.0
    assert (text_entry.KIND.score(text_item(*accepts, more), typed(text)) or 0.0) >= before


def test_the_class_sees_which_texts_are_right_only_with_the_key():
    item = text_item("bowline", typos=False)
    tally = text_entry.KIND.tally(item, [typed("bowline"), typed("Bowline"), typed("bowlin"), typed("hitch")])
    assert [(row.text, row.count) for row in tally.texts] == [("Bowline", 2), ("bowlin", 1), ("hitch", 1)]
    assert text_entry.KIND.told(item, tally, desk=False, with_key=False).right == ()
    assert text_entry.KIND.told(item, tally, desk=False, with_key=True).right == ("Bowline", "bowlin")
    rows = text_entry.KIND.count_rows(item, tally)
    assert [row.right for row in rows] == [True, True, False]


def test_what_a_dictation_says_is_never_sent_to_a_student_d4():
    sample = next(s for s in text_entry.KIND.samples() if s.item.form == "dictation")
    public = text_entry.KIND.public(sample.item)
    assert public.sound
    assert not public.sound.transcript
    assert sample.item.accepts[0] not in public.model_dump_json()


# --- slider ---------------------------------------------------------------------------------------


@given(low=st.integers(0, 100), width=st.integers(0, 30), value=st.integers(0, 100))
def test_a_slider_is_right_inside_its_range_ends_included_m4(low, width, value):
    item = slider.SliderItem(id="s", prompt="?", right_low=low, right_high=low + width)
    assert slider.KIND.score(item, slider.SliderAnswer(value=value)) == (low <= value <= low + width)


def test_a_slider_tells_its_median_and_quartiles():
    item = slider.SliderItem(id="s", prompt="?", scored=False)
    tally = slider.KIND.tally(item, [slider.SliderAnswer(value=v) for v in (1, 2, 3, 4, 100)])
    assert tally.quartiles == (2, 3, 4)
    assert [(f.name.sentence, f.value) for f in slider.KIND.figures(item, tally)][1] == ("median", 3)


def test_a_value_off_the_scale_is_refused():
    with pytest.raises(BadAnswer):
        slider.KIND.accept(slider.SliderItem(id="s"), slider.SliderAnswer(value=101))


# --- order ----------------------------------------------------------------------------------------


def ordered(ids):
    return order.OrderAnswer(order=tuple(ids))


@given(st.permutations(IDS))
def test_pairs_in_the_right_order_are_counted_m5(given_order):
    item = order.OrderItem(id="o", lines=WINDS)
    inversions = sum(given_order.index(a) > given_order.index(b) for n, a in enumerate(IDS) for b in IDS[n + 1 :])
    assert order.KIND.score(item, ordered(given_order)) == pytest.approx(1 - inversions / 10)


@given(st.permutations(IDS), st.integers(0, 3))
def test_putting_two_neighbours_right_never_scores_less_k3(given_order, at):
    better = list(given_order)
    if better[at] > better[at + 1]:
        better[at], better[at + 1] = better[at + 1], better[at]
    item = order.OrderItem(id="o", lines=WINDS)
    assert order.KIND.score(item, ordered(better)) >= order.KIND.score(item, ordered(given_order))


def test_exactly_this_order_is_all_or_nothing_m6():
    item = order.OrderItem(id="o", lines=WINDS, marking="exact")
    assert order.KIND.score(item, ordered(IDS)) == 1
    assert order.KIND.score(item, ordered((IDS[1], IDS[0], *IDS[2:]))) == 0


@given(st.text("abcdef0123456789", min_size=4, max_size=12), st.integers(3, 8))
def test_a_scored_order_is_drawn_with_a_secret_and_falls_as_it_falls(seed, count):
    lines = tuple(Line(id=f"{seed}{n}", text=str(n)) for n in range(count))
    item = order.OrderItem(id=f"item{seed}", lines=lines)

    def shown(secret, item=item):
        return [line.id for line in order.KIND.public(item, secret).lines]

    backwards = item.model_copy(update={"lines": lines[::-1]})
    assert sorted(shown("one")) == sorted(line.id for line in lines)
    assert shown("one") == shown("one") == shown("one", backwards)
    assert len({tuple(shown(f"{n}")) for n in range(40)}) > 3


def test_every_order_is_drawn_about_as_often_the_right_one_too():
    """Were the right one changed, whoever knows the ids would see that it had been."""
    item = order.OrderItem(id="o", lines=WINDS[:3])
    drawn = Counter(tuple(line.id for line in order.KIND.public(item, f"seed{n}").lines) for n in range(3000))
    assert len(drawn) == 6
    assert all(400 < count < 600 for count in drawn.values())


def test_a_ranking_is_summed_up_by_borda_counts_and_mean_places():
    item = order.OrderItem(id="o", lines=WINDS[:3], scored=False)
    ballots = [ordered(("L0", "L1", "L2")), ordered(("L1", "L0", "L2")), ordered(("L1", "L2", "L0"))]
    tally = order.KIND.tally(item, ballots)
    assert [(p.id, p.borda, p.mean_place) for p in tally.placings] == [("L1", 5, 1.333), ("L0", 3, 2), ("L2", 1, 2.667)]
    assert sum(p.borda for p in tally.placings) == len(ballots) * 3


# --- match, classify, gap fill --------------------------------------------------------------------

PAIRS = tuple(match.Pair(id=f"a{n}", left=f"left {n}", partner_id=f"z{n}", right=f"right {n}") for n in range(4))
GROUPS = (Line(id="g0", text="Stays"), Line(id="g1", text="Moves"))
MEMBERS = tuple(classify.Member(id=f"m{n}", text=f"line {n}", group=f"g{n % 2}") for n in range(4))


@given(st.permutations(range(4)), st.integers(1, 4), st.booleans())
def test_a_match_is_marked_by_the_share_that_is_right_m7(partners, count, all_or_nothing):
    item = match.MatchItem(id="m", pairs=PAIRS, all_or_nothing=all_or_nothing)
    matched = tuple(match.Matched(left=f"a{n}", right=f"z{partners[n]}") for n in range(count))
    answer = match.MatchAnswer(matched=matched)
    match.KIND.accept(item, answer)
    right = sum(partners[n] == n for n in range(count))
    assert match.KIND.score(item, answer) == (float(right == 4) if all_or_nothing else right / 4)


def test_a_partner_is_taken_once():
    twice = tuple(match.Matched(left=f"a{n}", right="z0") for n in range(2))
    with pytest.raises(BadAnswer):
        match.KIND.accept(match.MatchItem(id="m", pairs=PAIRS), match.MatchAnswer(matched=twice))


@given(st.lists(st.sampled_from(["g0", "g1"]), min_size=4, max_size=4), st.integers(0, 3))
def test_one_more_line_in_its_group_never_scores_less_m8_k3(groups, fixed):
    item = classify.ClassifyItem(id="c", groups=GROUPS, members=MEMBERS)

    def mark(chosen):
        placed = tuple(classify.Placed(member=f"m{n}", group=g) for n, g in enumerate(chosen))
        return classify.KIND.score(item, classify.ClassifyAnswer(placed=placed))

    better = [*groups[:fixed], f"g{fixed % 2}", *groups[fixed + 1 :]]
    assert mark(better) >= mark(groups)
    assert mark(["g0", "g1", "g0", "g1"]) == 1


@pytest.mark.parametrize("seed", range(5))
def test_what_is_shown_says_nothing_of_what_belongs_together(seed):
    rng = Random(seed)
    names = [f"{rng.getrandbits(40):x}" for _ in range(8)]
    pairs = tuple(match.Pair(id=names[n], partner_id=names[n + 4], left=f"l{n}", right=f"r{n}") for n in range(4))
    item = match.MatchItem(id="m", pairs=pairs)
    swapped = tuple(
        p.model_copy(update={"partner_id": q.partner_id, "right": q.right})
        for p, q in zip(pairs, pairs[::-1], strict=True)
    )
    other = item.model_copy(update={"pairs": swapped})
    assert match.KIND.public(item) == match.KIND.public(other)
    assert match.KIND.key(item) != match.KIND.key(other)


@pytest.mark.parametrize(
    ("texts", "mark"), [(("climbs", "six"), 1), (("Rises", "6"), 0.5), (("", "six"), 0.5), (("falls", "nine"), 0)]
)
def test_gaps_are_marked_by_the_share_that_is_right(texts, mark):
    item = gap_fill.GapFillItem(id="g", prompt="?", text="The tide [rises|climbs] for [six] hours.")
    assert gap_fill.KIND.score(item, gap_fill.GapFillAnswer(texts=texts)) == mark
    strict = item.model_copy(update={"all_or_nothing": True})
    assert gap_fill.KIND.score(strict, gap_fill.GapFillAnswer(texts=texts)) == float(mark == 1)


def test_a_text_with_gaps_keeps_its_spaces_and_hides_its_words():
    item = gap_fill.GapFillItem(id="g", prompt="?", text="The tide [rises] for **about** [six] hours.")
    public = gap_fill.KIND.public(item)
    assert [s.html for s in public.stretches] == ["The tide ", " for <strong>about</strong> ", " hours."]
    assert [s.gap for s in public.stretches] == [0, 1, None]
    assert "rises" not in public.model_dump_json()


def test_choices_and_the_bank_stand_in_an_order_that_says_nothing():
    chosen = gap_fill.GapFillItem(id="g", prompt="?", way="chosen", text="[six|four|eight] hours")
    assert gap_fill.KIND.public(chosen).stretches[0].choices == ("eight", "four", "six")
    bank = gap_fill.GapFillItem(id="g", prompt="?", way="bank", text="[spring] and [neap]", extra=("ebb",))
    assert gap_fill.KIND.public(bank).bank == ("ebb", "neap", "spring")
    with pytest.raises(BadAnswer):
        gap_fill.KIND.accept(bank, gap_fill.GapFillAnswer(texts=("spring", "storm")))


@pytest.mark.parametrize("text", ["no gap", "an [] empty one", "[one] and [ | ]"])
def test_a_text_whose_gaps_hold_nothing_is_told(text):
    assert gap_fill.KIND.check(gap_fill.GapFillItem(id="g", prompt="?", text=text))


# --- point ----------------------------------------------------------------------------------------


def test_a_point_is_right_in_any_right_area_and_within_its_margin_m9():
    areas = (
        point.Area(id="a", place=Rectangle(x=0.1, y=0.1, width=0.2, height=0.2)),
        point.Area(id="b", place=Ellipse(x=0.8, y=0.8, radius_x=0.1, radius_y=0.1)),
        point.Area(id="c", place=Rectangle(x=0.5, y=0.1, width=0.1, height=0.1), right=False),
    )
    picture = Picture(media="m", width=1000, height=500)
    item = point.PointItem(id="p", prompt="?", picture=picture, areas=areas, margin=0.02)

    def mark(x, y):
        return point.KIND.score(item, point.PointAnswer(spot=Spot(x=x, y=y)))

    assert [mark(0.2, 0.2), mark(0.31, 0.2), mark(0.33, 0.2), mark(0.8, 0.75), mark(0.55, 0.15)] == [1, 1, 0, 1, 0]
    # The margin is a share of the width: on a picture twice as wide as high it reaches twice as far down.
    assert [mark(0.2, 0.335), mark(0.2, 0.35)] == [1, 0]


def test_strays_are_counted_apart():
    sample = point.KIND.samples()[0]
    tally = point.KIND.tally(sample.item, [sample.right, *sample.others])
    counts = {str(row.words or row.text): row.count for row in point.KIND.count_rows(sample.item, tally)}
    assert counts == {"The mole": 2, "The light": 1, "The shoal": 0, "outside every area": 1}


def test_an_answer_counts_in_the_area_that_its_mark_comes_from():
    whole = point.Area(id="w", name="The bay", place=Rectangle(x=0, y=0, width=1, height=1), right=False)
    light = point.Area(id="l", name="The light", place=Rectangle(x=0.4, y=0.4, width=0.2, height=0.2))
    item = point.KIND.samples()[0].item.model_copy(update={"areas": (whole, light), "by_name": "offered"})
    inside = point.PointAnswer(spot=Spot(x=0.5, y=0.5))
    by_name = point.PointAnswer(area="w")  # its middle lies in the other one
    tally = point.KIND.tally(item, [inside, by_name])
    assert {area.name: area.count for area in tally.areas} == {"The bay": 1, "The light": 1}
    assert [point.KIND.score(item, answer) for answer in (inside, by_name)] == [1, 0]


def test_how_many_pointed_where_is_told_with_the_key():
    sample = point.KIND.samples()[0]
    tally = point.KIND.tally(sample.item, [sample.right, *sample.others])
    told = point.KIND.told(sample.item, tally, desk=False, with_key=True)
    assert [(area.name, area.count, area.right) for area in told.areas] == [
        ("The mole", 2, True),
        ("The light", 1, False),
        ("The shoal", 0, False),
    ]
    assert told.strays == 1
    assert point.KIND.told(sample.item, tally, desk=False, with_key=False).areas == ()


def test_areas_stay_with_the_teacher_until_the_key_is_shown():
    item = point.KIND.samples()[0].item
    public = point.KIND.public(item).model_dump()
    assert "areas" not in public
    assert all(set(name) == {"id", "name"} for name in public["names"])


# --- words, ratings, splits, letters --------------------------------------------------------------


def words(*given_words):
    return word_cloud.WordCloudAnswer(words=given_words)


def test_words_are_merged_by_case_and_regular_plurals_and_it_is_shown_and_parted_w4():
    item = word_cloud.WordCloudItem(id="w", prompt="?", language="en")
    tally = word_cloud.KIND.tally(
        item, [words("Waves", "bus"), words("wave", "écume"), words("waves", "ecume"), words("buses", "box", "boxes")]
    )
    found = {word.text: (word.count, set(word.merged)) for word in tally.words}
    assert found["Waves"] == (3, {"wave", "waves"})
    assert found["ecume"] == (1, set())
    assert found["bus"] == (2, {"buses"})
    assert found["box"][0] == 1  # one student, sent twice
    parted = word_cloud.KIND.kept_apart(item, "buses")
    again = {word.text: word.count for word in word_cloud.KIND.tally(parted, [words("bus"), words("buses")]).words}
    assert again == {"bus": 1, "buses": 1}


@given(
    st.lists(st.sampled_from(["puffin", "Gannets", "owl", "fulmar", "crow"]), max_size=3),
    st.sampled_from(["gannet", "fulmar"]),
)
def test_one_more_right_word_never_scores_less_k3(given_words, more):
    item = word_cloud.KIND.samples()[1].item.model_copy(update={"most": 4})
    before = word_cloud.KIND.score(item, words(*given_words))
    assert word_cloud.KIND.score(item, words(*given_words, more)) >= before


def test_ratings_have_a_mean_a_spread_and_a_count():
    item = rating_scale.KIND.samples()[0].item
    answers = [
        rating_scale.RatingScaleAnswer(ratings=(rating_scale.Rating(statement="s1", step=step),)) for step in (1, 3, 5)
    ]
    first, second = rating_scale.KIND.tally(item, answers).statements
    assert (first.n, first.mean, first.spread, first.counts) == (3, 3, 2, (1, 0, 1, 0, 1))
    assert (second.n, second.mean, second.spread) == (0, None, None)


@given(st.lists(st.integers(0, 10), min_size=3, max_size=3))
def test_a_split_adds_up_or_is_refused(points):
    item = point_split.KIND.samples()[0].item
    portions = tuple(point_split.Portion(option=f"o{n}", points=p) for n, p in enumerate(points))
    answer = point_split.PointSplitAnswer(portions=portions)
    if sum(points) == item.total:
        point_split.KIND.accept(item, answer)
        shares = [p.share for p in point_split.KIND.tally(item, [answer]).portions]
        assert sum(shares) == pytest.approx(1)
    else:
        with pytest.raises(BadAnswer):
            point_split.KIND.accept(item, answer)


def test_any_of_the_right_letters_is_right_m10():
    item = letter.LetterItem(id="l", prompt="?", letters=3, right=("A", "C"))
    marks = [letter.KIND.score(item, letter.LetterAnswer(letter=one)) for one in "ABC"]
    assert marks == [1, 0, 1]
    assert letter.KIND.score(item.model_copy(update={"right": ()}), letter.LetterAnswer(letter="A")) is None


def test_a_letter_that_is_not_offered_is_refused():
    item = letter.LetterItem(id="l", prompt="?", letters=3, right=("A", "E"))
    assert letter.KIND.key(item).right == ("A",)
    with pytest.raises(BadAnswer):
        letter.KIND.accept(item, letter.LetterAnswer(letter="E"))


def test_the_class_is_told_no_more_of_open_answers_than_a_phone_can_take():
    item = open_response.OpenResponseItem(id="o", prompt="?", longest=2000)
    tally = open_response.KIND.tally(item, [open_response.OpenResponseAnswer(text=f"{n} " * 600) for n in range(90)])
    told = open_response.KIND.told(item, tally, desk=False, with_key=True)
    assert len(told.texts) == 40
    assert max(map(len, told.texts)) <= 280
    assert len(open_response.KIND.told(item, tally, desk=True, with_key=True).texts) == 90
    with pytest.raises(BadAnswer):
        open_response.KIND.accept(
            open_response.OpenResponseItem(id="o"), open_response.OpenResponseAnswer(text="x" * 501)
        )
