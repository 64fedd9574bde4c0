"""Walls of texts and words: what the class sees of them, and when (docs/manners.md, B1 to B8)."""

import json

import pytest
from hypothesis import given
from hypothesis import strategies as st

from lantern.core import errors
from lantern.core.questions.kinds.open_response import OpenResponseAnswer, OpenResponseItem
from lantern.core.questions.kinds.word_cloud import WordCloudAnswer, WordCloudItem
from lantern.core.session import commands as c
from lantern.core.session.course import replay
from lantern.core.session.desk_view import desk_view
from lantern.core.session.settings import WallSettings
from lantern.core.session.views import Places, mine, screen_view, student_view
from lantern.core.session.wall import MOST_ON_PHONES, MOST_ON_SCREEN
from tests.builders import a_session, a_set, choice

OPEN = OpenResponseItem(id="why", prompt="Why did the boat drag her anchor?")
WORDS = WordCloudItem(id="fog", prompt="What do you hear?", most=2, language="en")
TEXTS = ("Too little chain.", "too little chain", "rock", "the wind turned")


def text(words):
    return OpenResponseAnswer(text=words)


def words(*given):
    return WordCloudAnswer(words=given)


def a_wall(*texts, close=True, item=OPEN, **settings):
    """Each text by another student, seats 1, 2, …; one more who has written nothing."""
    room = a_session(a_set(item), *(f"Student {n}" for n in range(len(texts) + 1)), wall=WallSettings(**settings))
    room.advance()
    for seat, one in enumerate(texts, start=1):
        room.give(seat, one if isinstance(one, WordCloudAnswer) else text(one))
    if close:
        room.do(c.Close(room.state.step))
    return room


def on_screen(room):
    shown = screen_view(room.state, "K").shown
    return [entry.text for entry in shown.wall.entries] if shown.wall else None


def on_phones(room):
    shown = student_view(room.state).shown
    return [entry.text for entry in shown.wall.entries] if shown.wall else None


def on_desk(room):
    return {entry.text: entry for entry in desk_view(room.state, "K", ()).on_wall.entries}


def place(room, where, *texts):
    for one in texts:
        room.do(c.Place(room.state.cursor, where, on_desk(room)[one].id))


def back(room, seat, one, backs=True, number=None):
    return room.do(c.Back(seat, room.state.ask.id, on_desk(room)[one].id, backs), number)


def voices(room):
    return {entry.text: entry.backed for entry in screen_view(room.state, "K").shown.wall.entries}


def test_a_wall_is_shown_once_the_question_is_closed_and_the_curtain_is_up():
    room = a_wall(*TEXTS, close=False)
    assert (on_screen(room), on_phones(room)) == (None, None)
    room.do(c.Close(room.state.step))
    assert on_screen(room) == on_phones(room) == ["Too little chain.", "too little chain", "rock", "the wind turned"]
    room.do(c.SetCurtain(True))
    assert (on_screen(room), on_phones(room)) == (None, None)


def test_it_fills_as_they_come_on_the_big_screen_alone():
    room = a_wall("rock", close=False, live=True)
    assert (on_screen(room), on_phones(room)) == (["rock"], None)
    room.give(2, text("wind"))
    assert on_screen(room) == ["rock", "wind"]
    room.do(c.SetWall(WallSettings()))
    assert on_screen(room) is None


def test_while_they_talk_about_it_nobody_is_shown_the_wall():
    room = a_wall("rock", live=True)
    room.do(c.Talk(room.state.step))
    assert (on_screen(room), on_phones(room)) == (None, None)
    room.do(c.ShowStandings(room.state.step)) if "show_standings" in desk_view(room.state, "K", ()).allowed else None
    assert on_screen(room) is None


def test_what_several_wrote_alike_is_one_entry():
    room = a_wall("rock", "Rock", "rock", "mud")
    (first, _) = screen_view(room.state, "K").shown.wall.entries
    assert (first.text, first.count) == ("rock", 3)


def test_read_before_shown_nothing_is_out_that_was_not_let_through():
    room = a_wall(*TEXTS, held=True)
    assert on_screen(room) == on_phones(room) == []
    assert screen_view(room.state, "K").shown.tally.texts == ()
    assert desk_view(room.state, "K", ()).on_wall.unread == 4
    place(room, "show", "rock", "Too little chain.")
    assert on_screen(room) == ["rock", "Too little chain."]  # in the order in which they were let through
    room.do(c.Place("why", "hide", on_desk(room)["the wind turned"].id))
    room.do(c.Place("why", "show"))
    assert on_screen(room) == ["rock", "Too little chain.", "too little chain"]
    assert desk_view(room.state, "K", ()).on_wall.unread == 0


def test_what_the_class_has_seen_stays_when_reading_first_is_chosen():
    room = a_wall("rock", "mud", close=False, live=True)
    place(room, "hide", "mud")
    room.do(c.SetWall(WallSettings(live=True, held=True)))
    room.give(3, text("wind"))
    assert on_screen(room) == ["rock"]
    unseen = a_wall("rock", close=False)
    unseen.do(c.SetWall(WallSettings(live=True, held=True)))
    assert on_screen(unseen) == []


def test_hidden_is_on_the_desk_alone_and_comes_back():
    room = a_wall(*TEXTS)
    place(room, "hide", "rock")
    for view in (screen_view(room.state, "K"), student_view(room.state)):
        assert "rock" not in view.model_dump_json()
    assert on_desk(room)["rock"].hidden
    assert room.state.responses("why")[2].answer.text == "rock"
    place(room, "show", "rock")
    assert "rock" in on_screen(room)


def test_pinned_ones_come_first():
    room = a_wall(*TEXTS)
    place(room, "pin", "the wind turned", "rock")
    assert on_screen(room)[:2] == ["the wind turned", "rock"]
    place(room, "unpin", "the wind turned")
    assert on_screen(room)[0] == "rock"
    place(room, "hide", "rock")
    place(room, "show", "rock")
    assert on_screen(room)[-2:] == ["rock", "the wind turned"]


def test_alike_ones_stand_together_until_they_are_parted():
    room = a_wall(*TEXTS)
    room.do(c.GroupAlike("why"))
    wall = screen_view(room.state, "K").shown.wall
    assert (wall.entries[0].text, wall.entries[0].alike) == ("Too little chain.", ("too little chain",))
    assert len({entry.group for entry in on_desk(room).values() if entry.group}) == 1
    place(room, "hide", "too little chain")
    assert screen_view(room.state, "K").shown.wall.entries[0].alike == ()
    room.do(c.GroupAlike("why", undo=True))
    assert all(not entry.group for entry in on_desk(room).values())


def test_a_voice_counts_once_can_be_taken_back_and_is_not_for_ones_own():
    room = a_wall(*TEXTS, backing=True)
    back(room, 5, "rock")
    back(room, 5, "rock")
    back(room, 1, "rock")
    back(room, 1, "the wind turned")
    assert voices(room) == {"Too little chain.": 0, "too little chain": 0, "rock": 2, "the wind turned": 1}
    assert mine(room.state, Places(room.state), 1).backed.entries == tuple(
        sorted(on_desk(room)[one].id for one in ("rock", "the wind turned"))
    )
    assert all(entry.backed == 0 for entry in student_view(room.state).shown.wall.entries)
    back(room, 5, "rock", backs=False)
    assert voices(room)["rock"] == 1
    with pytest.raises(errors.NotPossible, match="own words"):
        back(room, 3, "rock")
    room.do(c.Remove(1))
    assert voices(room)["rock"] == 0


def test_of_a_group_each_person_backs_one_thing():
    room = a_wall(*TEXTS, backing=True)
    room.do(c.GroupAlike("why"))
    for one in ("Too little chain.", "too little chain"):
        back(room, 5, one)
    assert voices(room)["Too little chain."] == 1


def test_who_writes_later_what_they_backed_backs_it_no_more():
    room = a_wall("rock", backing=True)
    back(room, 2, "rock")
    assert voices(room) == {"rock": 1}
    room.do(c.Reopen(room.state.step))
    room.give(2, text("Rock"))
    room.do(c.Close(room.state.step))
    assert voices(room) == {"rock": 0}


def test_a_late_copy_gives_no_voice_back():
    room = a_wall(*TEXTS, backing=True)
    back(room, 5, "rock", True, number=1)
    back(room, 5, "rock", False, number=2)
    assert back(room, 5, "rock", True, number=1) == []
    assert voices(room)["rock"] == 0


@pytest.mark.parametrize("case", ["off", "open", "hidden", "curtain", "strange", "paused"])
def test_what_cannot_be_backed_is_refused(case):
    room = a_wall(*TEXTS, backing=case != "off", close=case != "open", live=True)
    entry = on_desk(room)["rock"].id
    if case == "hidden":
        place(room, "hide", "rock")
    if case == "curtain":
        room.do(c.SetCurtain(True))
    if case == "paused":
        room.do(c.Pause())
    before = room.state
    with pytest.raises(errors.NotPossible):
        room.do(c.Back(5, "why.1", "f" * 12 if case == "strange" else entry, True))
    assert room.state is before


def test_nobody_is_named_unless_the_wall_and_the_session_name_people():
    for named, screen in ((False, True), (True, False), (True, True)):
        room = a_session(a_set(OPEN), "Fen", wall=WallSettings(named=named), names_on_screen=screen)
        room.advance()
        room.give(1, text("rock"))
        room.do(c.Close(room.state.step))
        (entry,) = screen_view(room.state, "K").shown.wall.entries
        assert entry.names == (("Fen",) if named and screen else ())
        assert "Fen" not in student_view(room.state).model_dump_json()
        assert on_desk(room)["rock"].names == ("Fen",)


def test_ids_say_nothing_of_who_wrote_what():
    """Neither a seat nor a text can be tried: another session has other ids for the same."""
    from lantern.core.session import Settings, new_session
    from lantern.core.session.wall import entry_id

    first, second = (new_session(a_set(OPEN), Settings(), seed).seed for seed in ("one", "two"))
    assert entry_id(first, "why", "rock") != entry_id(second, "why", "rock")
    assert len(entry_id(first, "why", "rock")) == 12


def test_words_are_hidden_and_let_through_for_all_who_said_them():
    room = a_wall(words("Waves", "horn"), words("wave"), words("rude"), item=WORDS)
    tally = screen_view(room.state, "K").shown.tally
    assert {word.text: word.count for word in tally.words} == {"Waves": 2, "horn": 1, "rude": 1}
    place(room, "hide", "rude")
    assert "rude" not in screen_view(room.state, "K").model_dump_json()
    assert {word.text for word in student_view(room.state).shown.tally.words} == {"Waves", "horn"}
    room.do(c.SetWall(WallSettings(held=True, live=True)))
    room.do(c.AskAgain(room.state.step))
    room.give(1, words("horn", "new"))
    assert [word.text for word in screen_view(room.state, "K").shown.tally.words] == ["horn"]


def test_two_words_are_counted_as_one_and_parted_again():
    room = a_wall(words("fog horn"), words("horn"), words("fog horn"), item=WORDS)
    room.do(c.JoinWords("fog", "fog horn", "horn"))
    assert list(on_desk(room)) == ["horn"]
    counted = {word.text: word.count for word in screen_view(room.state, "K").shown.tally.words}
    assert counted == {"horn": 3}
    room.do(c.KeepApart("fog", "fog horn"))
    assert len(screen_view(room.state, "K").shown.tally.words) == 2
    room.do(c.JoinWords("fog", "horn", "fog horn"))
    room.do(c.TakeBack("fog"))
    assert len(screen_view(room.state, "K").shown.tally.words) == 2


@given(st.lists(st.tuples(st.sampled_from("abcd"), st.sampled_from("abcd")), max_size=8))
def test_however_words_are_joined_each_answer_counts_as_one_word(pairs):
    room = a_wall(*(words(letter * 4) for letter in "abcd"), item=WORDS)
    for one, other in pairs:
        room.do(c.JoinWords("fog", one * 4, other * 4))
    tally = screen_view(room.state, "K").shown.tally
    assert sum(word.count for word in tally.words) == 4


def test_a_wall_of_many_is_cut_for_phones_and_the_big_screen():
    room = a_wall(*(f"text number {n} " + "long " * 80 for n in range(MOST_ON_SCREEN + 10)))
    screen, phone = screen_view(room.state, "K").shown.wall, student_view(room.state).shown.wall
    assert (len(screen.entries), screen.more) == (MOST_ON_SCREEN, 10)
    assert (len(phone.entries), phone.more) == (MOST_ON_PHONES, MOST_ON_SCREEN + 10 - MOST_ON_PHONES)
    assert max(len(entry.text) for entry in screen.entries) <= 280


def test_a_question_without_a_wall_has_none():
    room = a_session(a_set(choice("B", id="q1")), "Fen")
    room.advance()
    for command in (c.Place("q1", "hide"), c.GroupAlike("q1"), c.JoinWords("q1", "a", "b")):
        with pytest.raises(errors.NotPossible):
            room.do(command)


STEPS = (
    "write",
    "hide",
    "show",
    "pin",
    "group",
    "held",
    "live",
    "back",
    "unback",
    "close",
    "again",
    "remove",
    "restore",
)


@given(st.lists(st.tuples(st.sampled_from(STEPS), st.integers(1, 4)), max_size=25))
def test_nothing_hidden_or_held_is_ever_out_and_no_voice_counts_twice(steps):
    room = a_session(a_set(OPEN), *(f"Student {n}" for n in range(4)), wall=WallSettings(backing=True))
    room.advance()
    for number, (step, seat) in enumerate(steps):
        wall = desk_view(room.state, "K", ()).on_wall
        one = wall.entries[seat % len(wall.entries)].id if wall and wall.entries else "f" * 12
        settings = room.state.wall
        commands = {
            "write": c.GiveAnswer(seat, room.state.ask.id, text(f"secret{number}")),
            "hide": c.Place("why", "hide", one),
            "show": c.Place("why", "show", one),
            "pin": c.Place("why", "pin", one),
            "group": c.GroupAlike("why"),
            "held": c.SetWall(settings.model_copy(update={"held": not settings.held})),
            "live": c.SetWall(settings.model_copy(update={"live": not settings.live})),
            "back": c.Back(seat, room.state.ask.id, one, True),
            "unback": c.Back(seat, room.state.ask.id, one, False),
            "close": c.Close(room.state.step),
            "again": c.AskAgain(room.state.step),
            "remove": c.Remove(seat),
            "restore": c.Restore(seat),
        }
        try:
            room.do(commands[step])
        except errors.LanternError:
            continue
        desk = desk_view(room.state, "K", ()).on_wall
        out = {entry.text for entry in desk.entries if not entry.hidden and not entry.unread}
        for view in (screen_view(room.state, "K"), student_view(room.state)):
            told = json.dumps(view.model_dump(mode="json")["shown"])
            assert all(entry.text in out or f'"{entry.text}"' not in told for entry in desk.entries)
        people = {seat.number for seat in room.state.people()}
        assert all(entry.backed <= len(people) for entry in desk.entries)
    assert replay(room.first, room.history) == room.state
