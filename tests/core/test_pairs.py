"""Two halves, Shutters, Sort the catch (docs/games.md, U1 to U7, U9, U10)."""

from collections import Counter
from random import Random

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from lantern.core.errors import AlreadyAnswered, HandedIn, NotOpen, NotPossible
from lantern.core.games.pairs import Parts, TryPair
from lantern.core.games.shutters import GAME as SHUTTERS
from lantern.core.games.shutters import OpenShutter
from lantern.core.games.sort_the_catch import GAME as CATCH
from lantern.core.games.two_halves import GAME as HALVES
from lantern.core.games.word_search import GAME as WORD_SEARCH
from lantern.core.questions import kind_of
from lantern.core.questions.items import Picture, Recording
from lantern.core.questions.kinds.classify import ClassifyItem, Member
from lantern.core.questions.kinds.match import MatchItem
from lantern.core.questions.kinds.text_entry import TextEntryItem
from lantern.core.session import Settings
from lantern.core.session import commands as c
from lantern.core.session.boards import own_board, shown_board
from lantern.core.session.manners import planned, settings_for_game
from lantern.core.session.own_views import mine_at_own_pace
from lantern.core.session.standings import standings
from lantern.core.session.views import screen_view
from tests.builders import a_session, a_set, choice, page
from tests.builders.session import Room


def pairs(*texts):
    """Of words and what they mean."""
    return [
        {"id": f"l{n}", "left": left, "partner_id": f"z{9 - n}", "right": right}
        for n, (left, right) in enumerate(texts)
    ]


def matching(*texts, id="m1", **more):
    return MatchItem(id=id, prompt="What does it mean?", pairs=pairs(*texts), time_limit=None, **more)


SEA = (("bâbord", "port"), ("tribord", "starboard"), ("la proue", "the bow"), ("la poupe", "the stern"))
WORDS = matching(*SEA)
FISH = ClassifyItem(
    id="c1",
    prompt="Where does it belong?",
    groups=[{"id": "g1", "text": "Fish"}, {"id": "g2", "text": "Shellfish"}],
    members=[
        {"id": "a", "text": "Herring", "group": "g1"},
        {"id": "b", "text": "Mussel", "group": "g2"},
        {"id": "c", "text": "Cod", "group": "g1"},
    ],
    time_limit=None,
)


def asks(n, right, *wrong, prompt="What is meant by {}?", **more):
    item = choice(id=f"q{n}", right="A", time_limit=None, **more)
    item = item.model_copy(update={"prompt": prompt.format(n)})
    texts = (right, *wrong, "something", "anything")
    options = (one.model_copy(update={"text": text}) for one, text in zip(item.options, texts, strict=False))
    return item.model_copy(update={"options": tuple(options)})


def led(game, *names, items=(WORDS,), **changes):
    chosen = settings_for_game(game, "led", Settings())
    return a_session(a_set(*items), *names, **{**dict(chosen), "mix_options": False, **changes})


def alone(game, *names, items=(WORDS,)):
    chosen = dict(settings_for_game(game, "own_pace", Settings()))
    room = a_session(a_set(*items), *names, **{**chosen, "mix_options": False, "mix_questions": False})
    room.advance()
    for seat in room.state.seats:
        room.do(c.BeginPaper(seat))
    return room


def attempt(room, seat, left, right, question="m1"):
    return room.do(c.MakeMove(seat, TryPair(question=question, left=left, right=right)))


def put_together(room, seat, question="m1"):
    for left, right in kind_of(room.state.items[question]).pairing(room.state.items[question]).wanted:
        attempt(room, seat, left, right, question)


def response(room, seat, question="m1"):
    return room.state.asks[room.state.standing[question]].responses.get(seat)


def board(room, seat, question="m1"):
    return next(one for one in own_board(room.state, seat).boards if one.question == question)


def test_a_match_question_is_a_board_as_it_is_and_the_rest_makes_boards_u1():
    others = [asks(n, f"meaning {n}") for n in range(11)]
    long = matching(*((f"left {n}", f"right {n}") for n in range(10)), id="m2")
    unusable = [page(id="p1"), asks(29, "nothing", weight=0), asks(30, "x" * 121), asks(31, "meaning 0", prompt="")]
    items = [WORDS, *others, long, *unusable]
    room = led(HALVES, "Fen", items=items)
    boards = list(room.state.items.values())
    assert boards[0].id == "m1"
    assert {one.kind for one in boards} == {"match"}
    assert [len(one.pairs) for one in boards] == [4, 7, 7, 7]
    made = Counter(pair.right for one in boards[1:] for pair in one.pairs)
    assert made == Counter([f"meaning {n}" for n in range(11)] + [f"right {n}" for n in range(10)])
    plan = planned(items, room.state.settings)
    assert (plan.played, plan.pairs) == (4, 25)
    assert {one.id: one.why.code for one in plan.unplayed} == {
        "p1": "unplayed_page",
        "q29": "unplayed_no_weight",
        "q30": "unplayed_no_parts",
        "q31": "unplayed_no_parts",
    }


def picture(name, description=""):
    return Picture(media=name, description=description, width=400, height=300)


HORN = Recording(media="horn", seconds=4.0, transcript="Two long blasts")


def seen(item):
    return sorted((one.left_media.media if one.left_media else "", one.left, one.right) for one in item.pairs)


def shared(game, *items):
    own = settings_for_game(game, "led", Settings())
    together = own.model_copy(update={"game": own.game.model_copy(update={"shared": True}), "mix_options": False})
    room = a_session(a_set(*items), "Fen, Ines, Bo", **dict(together))
    room.advance()
    return room


def test_who_finds_a_pair_goes_on_and_after_a_miss_it_is_the_next_ones_turn_u10():
    room = shared(HALVES, WORDS, matching(*SEA[:3], id="m2"))
    assert board(room, 1).turns == (0,)
    attempt(room, 1, "l0", "z9")
    attempt(room, 1, "l1", "z7")
    attempt(room, 1, "l1", "z8")
    attempt(room, 1, "l2", "z6")
    attempt(room, 1, "l2", "z6")
    assert board(room, 1).turns == (0, 1, 3)
    assert board(room, 1, "m2").turns == (1,)
    assert board(led(HALVES, "Fen"), 1).turns == ()


@given(st.lists(st.integers(0, 7), max_size=30))
@settings(deadline=None)
def test_shutters_are_opened_in_turns_u10(places):
    room = shared(SHUTTERS, WORDS)
    for place in places:
        try:
            room.do(c.MakeMove(1, OpenShutter(question="m1", place=place)))
        except (NotPossible, AlreadyAnswered, NotOpen):
            continue
    seen = board(room, 1)
    assert len(seen.turns) == seen.found + 1
    assert list(seen.turns) == sorted(seen.turns)
    assert seen.turns[-1] == seen.missed


def test_what_is_seen_or_heard_lies_on_the_board_u9():
    birds = [asks(n, f"bird {n}", prompt="Which bird is this?", picture=picture(f"p{n}")) for n in (1, 2)]
    lamp = asks(3, "a lamp", prompt="What is this?", picture=picture("p3"))
    horn = asks(4, "under way", sound=HORN)
    fog = asks(5, "a bell", prompt="What hides here?", picture=picture("p5"), fog="dense")
    (made,) = led(HALVES, items=[*birds, lamp, horn, fog]).state.items.values()
    assert seen(made) == [
        ("", "What hides here?", "a bell"),
        ("horn", "What is meant by 4?", "under way"),
        ("p1", "", "bird 1"),
        ("p2", "", "bird 2"),
        ("p3", "What is this?", "a lamp"),
    ]
    typed = [TextEntryItem(id=f"t{n}", prompt="?", accepts=(f"it {n}",), picture=picture(f"p{n}")) for n in range(3)]
    (made,) = led(HALVES, items=typed).state.items.values()
    assert seen(made) == [(f"p{n}", "", f"it {n}") for n in range(3)]
    assert "it 0" not in made.prompt or made.prompt.count("it") == 3


def test_two_pictures_of_the_same_are_two_pairs_u9():
    gulls = [asks(n, "a gull", prompt="What is this?", picture=picture(f"p{n}")) for n in (1, 2, 3)]
    twice = gulls[0].model_copy(update={"id": "q9"})
    (made,) = led(HALVES, items=[*gulls, twice]).state.items.values()
    assert seen(made) == [(f"p{n}", "", "a gull") for n in (1, 2, 3)]


def shown_pairs(count, description="", text=""):
    item = matching(*((text, f"right {n}") for n in range(count)))
    pairs_ = [one.model_copy(update={"left_media": picture(f"p{n}", description)}) for n, one in enumerate(item.pairs)]
    return item.model_copy(update={"pairs": tuple(pairs_)})


def test_many_pairs_keep_their_pictures_on_several_boards_u9():
    made = led(HALVES, items=[shown_pairs(10)]).state.items.values()
    assert sorted(media for item in made for media, _, _ in seen(item)) == [f"p{n}" for n in range(10)]


def test_what_a_side_shows_is_told_in_words_u9():
    item = shown_pairs(3, "A red light")
    answer = kind_of(item).of_tries(item, (("l0", "z9"),))
    assert kind_of(item).answer_text(item, answer) == "A red light – right 0"
    assert kind_of(item).substance(item).pairs[0] == ("A red light", "right 0")
    unsaid = shown_pairs(3)
    assert kind_of(unsaid).answer_text(unsaid, answer) == "1 – right 0"
    codes = [[one.code for one in kind_of(one).check(one)] for one in (item, unsaid, shown_pairs(3, text="by night"))]
    assert codes == [[], ["left_picture_undescribed"] * 3, []]


def test_a_right_answer_that_is_a_picture_is_found_by_its_question_u9():
    def shows(n):
        item = asks(n, "", prompt=f"Which light is number {n}?")
        options = tuple(one.model_copy(update={"text": "", "media": picture(f"{n}{one.id}")}) for one in item.options)
        return item.model_copy(update={"options": options})

    (made,) = led(HALVES, items=[shows(n) for n in (1, 2, 3)]).state.items.values()
    assert seen(made) == [(f"{n}A", "", f"Which light is number {n}?") for n in (1, 2, 3)]


def test_sides_that_look_the_same_stand_for_each_other_and_no_others_u9():
    same = matching(("", "a lamp"), ("", "a light"), ("", "a bell"))
    media = (picture("p1"), picture("p1"), picture("p2"))
    pairs_ = tuple(one.model_copy(update={"left_media": m}) for one, m in zip(same.pairs, media, strict=True))
    item = same.model_copy(update={"pairs": pairs_})
    pairing = kind_of(item).pairing(item)
    assert pairing.belong("l0", "z8")
    assert not pairing.belong("l0", "z7")
    room = led(HALVES, "Fen", items=[item])
    room.advance()
    assert screen_view(room.state, "KELP427").shown.item.left[2].media == picture("p2")
    attempt(room, 1, "l0", "z8")
    attempt(room, 1, "l1", "z9")
    attempt(room, 1, "l2", "z7")
    assert response(room, 1).mark == 1
    assert [problem.code for problem in kind_of(item).check(item)] == ["left_sides_alike"] + [
        "left_picture_undescribed"
    ] * 3


def test_a_word_beside_a_picture_is_hidden_as_it_is_written_u9():
    words = matching(("ebb", "goes out"), ("flood", "comes in"), ("slack", "stands still"))
    shown = tuple(one.model_copy(update={"left_media": picture(one.left)}) for one in words.pairs)
    room = alone(WORD_SEARCH, "Fen", items=[words.model_copy(update={"pairs": shown})])
    assert sorted(clue.letters for clue in board(room, 1).clues) == [3, 5, 5]


@pytest.mark.parametrize("game", [CATCH, WORD_SEARCH])
def test_what_has_no_words_is_neither_sorted_nor_hidden_u9(game):
    sides = ("port", "starboard", "port", "starboard")
    typed = [
        TextEntryItem(id=f"t{n}", prompt="?", accepts=(side,), picture=picture(f"p{n}")) for n, side in enumerate(sides)
    ]
    assert planned(typed, settings_for_game(game, "own_pace", Settings())).played == 0


def test_a_pair_is_taken_once_and_two_are_too_few_u1():
    twice = [
        asks(1, "the tide"),
        asks(2, "the ebb"),
        asks(3, "the flow"),
        asks(1, "the tide").model_copy(update={"id": "q9"}),
    ]
    (made,) = led(HALVES, items=twice).state.items.values()
    assert [pair.right for pair in made.pairs] == ["the tide", "the ebb", "the flow"]
    assert [one.id for one in planned(twice, settings_for_game(HALVES, "led", Settings())).unplayed] == ["q9"]
    plan = planned(twice[:2], settings_for_game(HALVES, "led", Settings()))
    assert (plan.played, plan.pairs) == (0, 0)


def test_groups_are_boards_and_answers_that_come_again_are_groups_u1():
    questions = [asks(n, "True" if n % 2 else "False") for n in range(14)]
    room = led(CATCH, items=[FISH, *questions])
    first, *made = room.state.items.values()
    assert first.id == "c1"
    assert [len(one.members) for one in made] == [7, 7]
    for one in made:
        assert {group.text for group in one.groups} == {"True", "False"}
        assert {member.group for member in one.members} == {group.id for group in one.groups}
    for answers, number in ((4, 4), (1, 4), (7, 14)):
        none = led(CATCH, items=[asks(n, f"other {n % answers}") for n in range(number)])
        assert none.state.items == {}
    half = FISH.model_copy(update={"members": (*FISH.members, Member(id="d", text="Kelp"))})
    assert kind_of(half).pairing(half) is None


def test_the_same_boards_are_made_of_the_same_set_and_ids_tell_nothing_u3():
    items = [asks(n, f"meaning {n}") for n in range(5)]
    chosen = settings_for_game(HALVES, "led", Settings())
    rooms = [Room(a_set(*items), chosen, seed) for seed in ("a", "a", "b")]
    first, again, other = (next(iter(room.state.items.values())) for room in rooms)
    assert first == again
    assert first.pairs != other.pairs
    ids, others = ([id_ for pair in one.pairs for id_ in (pair.id, pair.partner_id)] for one in (first, other))
    assert len(set(ids)) == 10
    assert not set(ids) & set(others)
    assert ids != sorted(ids)


def test_what_was_tried_first_is_the_answer_u2():
    room = led(HALVES, "Fen", "Bo")
    room.advance()
    attempt(room, 1, "l0", "z8")
    assert board(room, 1).wrong == Parts(left="l0", right="z8")
    assert response(room, 1) is None
    for left, right in (("l0", "z9"), ("l1", "z8"), ("l2", "z7"), ("l3", "z6")):
        attempt(room, 1, left, right)
    put_together(room, 2)
    assert [response(room, seat).mark for seat in (1, 2)] == [0.75, 1]
    assert board(room, 1).missed == 1
    answer = kind_of(WORDS).answer_text(WORDS, response(room, 1).answer)
    assert answer == "tribord – starboard; la proue – the bow; la poupe – the stern"
    pairing = kind_of(WORDS).pairing(WORDS)
    assert pairing.first_of((("l0", "z8"), ("l1", "z8"), ("l2", "z9"))) == (("l1", "z8"), ("l2", "z9"))


@pytest.mark.parametrize("tells", ["desk", "time", "end"])
def test_what_is_not_complete_is_taken_as_it_stands_when_the_question_closes_u2(tells):
    room = led(HALVES, "Fen", "Bo", "Ines", items=(WORDS.model_copy(update={"time_limit": 60}),))
    room.advance()
    attempt(room, 1, "l0", "z9")
    attempt(room, 2, "l0", "z6")
    room.now += 61_000
    ask = room.state.ask
    close = {"desk": c.Close(room.state.step), "time": c.TimeUp(ask.id, ask.deadline), "end": c.Close(room.state.step)}
    room.do(close[tells])
    assert [response(room, seat) and response(room, seat).mark for seat in (1, 2, 3)] == [0.25, 0, None]
    with pytest.raises(NotOpen):
        attempt(room, 3, "l0", "z9")
    with pytest.raises((AlreadyAnswered, NotOpen)):
        attempt(room, 1, "l1", "z8")


@pytest.mark.parametrize("how", ["hand", "time", "end", "collect"])
def test_what_is_not_complete_is_taken_as_it_stands_when_the_paper_is_handed_in_u2(how):
    room = alone(HALVES, "Fen", "Bo")
    attempt(room, 1, "l0", "z9")
    attempt(room, 1, "l1", "z6")
    if how == "hand":
        room.do(c.HandIn(1))
    elif how == "collect":
        room.do(c.Collect(room.state.step))
    room.do(c.End())
    assert response(room, 1).mark == 0.25
    assert response(room, 2) is None
    assert room.state.papers[1].answered == {"m1"}
    assert own_board(room.state, 1).right == 1
    with pytest.raises((HandedIn, NotPossible)):
        attempt(room, 1, "l2", "z7")


def test_a_move_is_refused_where_an_answer_would_be_u2():
    room = led(HALVES, "Fen", items=(WORDS, matching(*SEA[:3], id="m2")))
    for question in ("m1", "m2", "m9"):
        with pytest.raises((NotOpen, NotPossible)):
            attempt(room, 1, "l0", "z9", question)
    room.advance()
    with pytest.raises(NotOpen):
        attempt(room, 1, "l0", "z9", "m2")
    for left, right in (("l9", "z9"), ("l0", "l1"), ("z9", "l0")):
        with pytest.raises(NotPossible):
            attempt(room, 1, left, right)
    attempt(room, 1, "l0", "z9")
    for left, right in (("l0", "z8"), ("l1", "z9")):
        with pytest.raises(NotPossible) as refused:
            attempt(room, 1, left, right)
        assert refused.value.message.code == "found_already"
    room.do(c.Pause())
    with pytest.raises(NotPossible):
        attempt(room, 1, "l1", "z8")


def test_the_same_move_again_is_taken_once():
    room = led(HALVES, "Fen")
    room.advance()
    room.do(c.MakeMove(1, TryPair(question="m1", left="l0", right="z8")), number=7)
    assert room.do(c.MakeMove(1, TryPair(question="m1", left="l0", right="z8")), number=7) == []
    assert board(room, 1).missed == 1


def test_who_answers_as_the_question_is_answered_else_has_answered_it():
    room = led(HALVES, "Fen")
    room.advance()
    attempt(room, 1, "l0", "z8")
    room.give(1, kind_of(WORDS).of_tries(WORDS, kind_of(WORDS).pairing(WORDS).wanted))
    assert response(room, 1).mark == 1
    with pytest.raises(AlreadyAnswered):
        put_together(room, 1)


def test_the_room_sees_what_was_answered_and_not_played_once_it_is_told():
    room = led(HALVES, "Fen", "Bo")
    room.advance()
    wanted = kind_of(WORDS).pairing(WORDS).wanted
    room.give(1, kind_of(WORDS).of_tries(WORDS, wanted))
    room.give(2, kind_of(WORDS).of_tries(WORDS, wanted[:1]))
    assert [(one.found, one.finished) for one in shown_board(room.state).boards] == [(0, 0)]
    room.do(c.Close(room.state.step))
    room.do(c.Reveal(room.state.step))
    assert [(one.found, one.finished) for one in shown_board(room.state).boards] == [(5, 1)]


def test_no_device_is_told_what_belongs_together_before_it_was_found_u3():
    room = alone(HALVES, "Fen")
    attempt(room, 1, "l0", "z9")
    told = own_board(room.state, 1).model_dump_json()
    assert [part in told for part in ("l0", "z9", "l1", "z8")] == [True, True, False, False]
    assert "l0" not in shown_board(room.state).model_dump_json()


def test_places_are_by_what_was_right_at_the_first_try_u4():
    room = alone(HALVES, "Fen", "Bo", "Ines")
    attempt(room, 1, "l0", "z6")
    for seat in (1, 2, 3):
        room.now += 60_000
        put_together(room, seat)
    room.do(c.End())
    assert [(row.name, row.points, row.place) for row in standings(room.state)] == [
        ("Bo", 4, 1),
        ("Ines", 4, 1),
        ("Fen", 3, 3),
    ]
    (line,) = shown_board(room.state).boards
    assert (line.pairs, line.found, line.finished) == (4, 12, 3)
    room.do(c.Remove(2))
    (line,) = shown_board(room.state).boards
    assert (line.found, line.finished, shown_board(room.state).players) == (8, 2, 2)


def places_of(room, question="m1"):
    """What lies where, as nobody is told it: by opening each shutter in another session of the same seed."""
    wanted = kind_of(room.state.items[question]).pairing(room.state.items[question]).wanted
    other = alone(SHUTTERS, "Bo")
    found = []
    for place in range(2 * len(wanted)):
        seen = board(other, 1, question)
        if not seen.places[place]:
            other.do(c.MakeMove(1, OpenShutter(question=question, place=place)))
            seen = board(other, 1, question)
        found.append(seen.places[place])
    return found


def turn(room, *places, seat=1):
    for place in places:
        room.do(c.MakeMove(seat, OpenShutter(question="m1", place=place)))


def test_two_are_opened_and_stay_so_where_they_belong_together_u5():
    room = alone(SHUTTERS, "Fen")
    lies = places_of(room)
    assert sorted(lies) == sorted(part for n in range(4) for part in (f"l{n}", f"z{9 - n}"))
    at = {part: place for place, part in enumerate(lies)}
    assert board(room, 1).places == ("",) * 8
    turn(room, at["l0"])
    assert board(room, 1).places.count("") == 7
    with pytest.raises(NotPossible):
        turn(room, at["l0"])
    turn(room, at["z8"])
    assert (board(room, 1).opened, board(room, 1).missed) == ((at["l0"], at["z8"]), 1)
    turn(room, at["l1"])
    assert board(room, 1).opened == (at["l1"],)
    turn(room, at["z8"])
    seen = board(room, 1)
    assert (seen.found, seen.opened) == (1, ())
    assert seen.places[at["l1"]] == "l1"
    with pytest.raises(NotPossible):
        turn(room, at["l1"])


def test_a_miss_counts_where_a_partner_had_been_seen_u5():
    room = alone(SHUTTERS, "Fen")
    at = {part: place for place, part in enumerate(places_of(room))}
    turn(room, at["l0"], at["z8"])  # nothing was known
    turn(room, at["z9"], at["l1"])  # l0 had been seen, so z9 was l0's
    turn(room, at["z8"], at["l1"])  # found
    turn(room, at["l0"], at["z9"])
    turn(room, at["l2"], at["l3"])
    turn(room, at["z7"], at["l2"])
    turn(room, at["z6"], at["l3"])
    assert response(room, 1).mark == 0.75
    assert board(room, 1).missed == 3
    assert own_board(room.state, 1).right == 3


def test_everything_lies_at_the_same_place_for_everybody_and_elsewhere_in_another_session_u3():
    spreads = set()
    for seed in range(8):
        chosen = settings_for_game(SHUTTERS, "led", Settings())
        room = Room(a_set(WORDS), chosen.model_copy(update={"mix_options": False}), f"seed {seed}")
        room.join("Fen", "Bo")
        room.advance()
        for seat in (1, 2):
            turn(room, 0, seat=seat)
        first, second = (board(room, seat).places[0] for seat in (1, 2))
        assert first == second
        spreads.add(first)
    assert len(spreads) > 2


def test_parts_that_read_alike_stand_for_each_other_u6():
    alike = matching(("gull", "bird"), ("tern", "bird"), ("cod", "fish"))
    room = led(HALVES, "Fen", items=(alike,))
    room.advance()
    for left, right in (("l0", "z8"), ("l1", "z9"), ("l2", "z7")):
        attempt(room, 1, left, right)
    assert (board(room, 1).missed, response(room, 1).mark) == (0, 1)


def test_a_part_is_the_answer_of_the_one_that_was_found_with_it_u6():
    room = led(HALVES, "Fen", items=(matching(("a", "x"), ("b", "x"), ("a", "y")),))
    room.advance()
    for left, right in (("l0", "z9"), ("l2", "z8"), ("l1", "z8"), ("l2", "z7")):
        attempt(room, 1, left, right)
    assert board(room, 1).missed == 1
    assert response(room, 1).mark == pytest.approx(2 / 3)


@settings(max_examples=60)
@given(st.lists(st.tuples(st.sampled_from("ab"), st.sampled_from("xy")), min_size=2, max_size=6), st.integers(0, 10**6))
def test_whatever_reads_alike_every_board_can_be_finished_u6(texts, seed):
    item, rng = matching(*texts), Random(seed)
    room = led(HALVES, "Fen", items=(item,))
    room.advance()
    pairing = kind_of(item).pairing(item)
    for _ in range(200):
        found = board(room, 1).found
        left = [one for one in pairing.left if one not in {one.left for one in found}]
        right = [one for one in pairing.right if one not in {one.right for one in found}]
        if not left:
            break
        attempt(room, 1, rng.choice(left), rng.choice(right))
    assert response(room, 1) is not None
    assert (response(room, 1).mark == 1) == (board(room, 1).missed == 0)


def test_what_is_sorted_goes_into_its_group_and_groups_take_many():
    room = led(CATCH, "Fen", items=(FISH,))
    room.advance()
    for member, group in (("a", "g1"), ("b", "g1"), ("b", "g2"), ("c", "g1")):
        attempt(room, 1, member, group, "c1")
    assert response(room, 1, "c1").mark == pytest.approx(2 / 3)


def test_asked_anew_the_board_is_empty_again_u7():
    room = led(HALVES, "Fen")
    room.advance()
    put_together(room, 1)
    room.do(c.Close(room.state.step))
    room.do(c.AskAgain(room.state.step))
    assert board(room, 1).found == ()
    attempt(room, 1, "l0", "z6")
    put_together(room, 1)
    assert response(room, 1).mark == 0.75
    room.do(c.Close(room.state.step))
    room.do(c.Reveal(room.state.step))
    assert screen_view(room.state, "KELP427").board.players == 1


def test_at_own_pace_what_was_right_is_told_with_the_last_part():
    room = alone(HALVES, "Fen")
    attempt(room, 1, "l0", "z6")
    assert mine_at_own_pace(room.state, room.state.seats[1]).answer is None
    put_together(room, 1)
    mine = mine_at_own_pace(room.state, room.state.seats[1])
    assert mine.mark == 0.75
    with pytest.raises(AlreadyAnswered):
        room.do(c.GiveAnswer(1, "m1.1", kind_of(WORDS).of_tries(WORDS, (("l0", "z9"),))))
