"""How students are known in a session, and how a seat goes over to another device."""

from random import Random

import pytest

from lantern.core import errors
from lantern.core.classes.made_names import count_of, free_number, made_name
from lantern.core.classes.names import clean_name
from lantern.core.classes.phrases import WORDS, make_phrase, read_phrase
from lantern.core.languages import LANGUAGES
from lantern.core.session import commands as c
from tests.builders import a_session, a_set, choice


def a_class(known="list"):
    return a_session(a_set(choice("B")), known=known)


def picks(member, key, *, proven=False, name="Fen Okoro", record_id=""):
    return c.Join(name, key, f"person-of-{key}", member, record_id, proven)


def test_who_is_in_the_list_takes_a_seat_under_that_name():
    room = a_class()
    room.do(picks("m1", "phone"))
    person = next(iter(room.state.roster.values()))
    assert (person.name, person.member) == ("Fen Okoro", "m1")


def test_without_a_name_of_the_list_nobody_comes_in():
    with pytest.raises(errors.BadName) as refused:
        a_class().do(c.Join("Fen Okoro", "phone", "p"))
    assert refused.value.field == "member"


def test_a_taken_name_is_taken_until_the_teacher_frees_it():
    room = a_class()
    room.do(picks("m1", "phone"))
    with pytest.raises(errors.NameTaken):
        room.do(picks("m1", "tablet"))
    room.do(c.Release(1))
    room.do(picks("m1", "tablet"))
    assert (room.names, room.state.seat_of_key) == (["Fen Okoro"], {"tablet": 1})
    with pytest.raises(errors.NameTaken):
        room.do(picks("m1", "third"))


def test_whoever_proves_who_they_are_goes_on_on_another_device_with_all_they_have():
    room = a_class()
    room.do(picks("m1", "phone"))
    room.advance()
    room.answer(1, "B")
    room.do(picks("m1", "tablet", proven=True))
    assert len(room.state.seats) == 1
    assert room.state.seats[1].key == "tablet"
    assert room.state.ask.responses.keys() == {1}


def test_the_first_device_comes_back_only_by_saying_who_it_is():
    room = a_class()
    room.do(picks("m1", "phone"))
    room.do(picks("m1", "tablet", proven=True))
    with pytest.raises(errors.NameTaken):
        room.do(picks("m1", "phone"))
    room.do(picks("m1", "phone", proven=True))
    assert room.state.seats[1].key == "phone"


def test_who_was_taken_out_comes_in_on_no_other_device():
    room = a_class()
    room.do(picks("m1", "phone"))
    room.do(c.Remove(1))
    for proven in (True, False):
        with pytest.raises(errors.TakenOut):
            room.do(picks("m1", "tablet", proven=proven))


def test_a_nickname_is_nobodys_to_claim():
    room = a_class("nickname")
    room.join("Fen")
    assert room.do(c.Release(1)) == []
    room.join("Fen")
    assert room.names == ["Fen", "Fen 2"]


def test_a_record_id_is_one_person_however_it_is_written():
    room = a_class("record_id")
    room.do(picks("", "phone", record_id="GB 104"))
    with pytest.raises(errors.NameTaken) as refused:
        room.do(picks("", "tablet", record_id="gb104"))
    assert refused.value.field == "record_id"
    with pytest.raises(errors.BadName):
        room.do(picks("", "tablet", record_id=" "))


def test_a_new_name_changes_neither_member_nor_record_id():
    room = a_class("record_id")
    room.do(picks("m1", "phone", record_id="GB 104"))
    room.do(c.Rename(1, "Fenna"))
    person = next(iter(room.state.roster.values()))
    assert (person.name, person.member, person.record_id) == ("Fenna", "m1", "GB 104")


def test_who_is_erased_can_be_known_no_more():
    room = a_class()
    room.do(picks("m1", "phone"))
    room.do(c.Erase(1))
    assert room.state.roster == {}
    room.do(picks("m1", "tablet"))
    assert len(room.state.seats) == 2


# --- names that are made ------------------------------------------------------------------------------


@pytest.mark.parametrize("language", LANGUAGES)
def test_made_names_are_two_words_no_two_alike(language):
    names = [made_name(language, number) for number in range(count_of(language))]
    assert len({name.casefold() for name in names}) == len(names) > 700
    assert all(clean_name(name) == name and len(name.split()) == 2 for name in names)
    assert made_name(language, count_of(language)) == names[0]


def test_a_made_name_is_one_that_nobody_has():
    everything = [made_name("en", number) for number in range(count_of("en"))]
    left = everything.pop(17)
    assert made_name("en", free_number("en", Random(1), everything)) == left
    assert free_number("en", Random(1), [*everything, left]) < count_of("en")


# --- phrases ----------------------------------------------------------------------------------------


def test_words_of_phrases_are_told_apart():
    assert len(set(WORDS)) == len(WORDS)
    assert all(word.isascii() and word.isalpha() and word.islower() for word in WORDS)
    assert not [(a, b) for a in WORDS for b in WORDS if a != b and b.startswith(a)]


def test_a_phrase_is_read_in_any_way_it_is_typed():
    phrase = make_phrase(Random(3))
    one, two, three = phrase.split()
    for typed in (phrase, f" {one.upper()}-{two}  {three}. ", f"{one},{two},{three}"):
        assert read_phrase(typed) == phrase
    for typed in ("", one, f"{one} {two}", f"{one} {two} nothing", f"{phrase} {one}"):
        assert read_phrase(typed) is None


def test_two_members_never_have_the_same_phrase():
    taken = set()
    for _ in range(500):
        phrase = make_phrase(Random(7), taken)
        assert phrase not in taken
        taken.add(phrase)
