"""Every phase with every command: it leads somewhere, or it is refused and nothing has changed."""

from typing import get_args

import pytest

from lantern.core.errors import LanternError
from lantern.core.questions.kinds.choice import ChoiceAnswer
from lantern.core.session import Command, Phase
from lantern.core.session import commands as c
from lantern.core.session.engine import COMMANDS, EVENTS
from lantern.core.session.events import Event
from lantern.core.session.model import ask_id
from lantern.core.session.views import Places, desk_view, mine, screen_view, student_view
from tests.builders import a_session, a_set, choice, joins, page

ALL_COMMANDS = get_args(Command)


def room_in(phase: Phase):
    """A session with one student, brought into `phase`."""
    room = a_session(a_set(choice(id="q1"), page(id="p1"), choice(id="q2")), "Fen")
    steps = {Phase.LOBBY: 0, Phase.OPEN: 1, Phase.CLOSED: 2, Phase.REVEALED: 3, Phase.STANDINGS: 4, Phase.PAGE: 5}
    if phase is Phase.ENDED:
        room.do(c.End())
    else:
        room.advance(steps[phase])
    assert room.state.phase is phase
    return room


def an_example(command: type, room):
    """A command that would do something wherever it is legal."""
    step, item = room.state.step, room.state.cursor or "q1"
    ask = room.state.ask.id if room.state.ask else ask_id(item, 1)
    examples = {
        c.GoTo: lambda: c.GoTo(step, "q2"),
        c.AddTime: lambda: c.AddTime(15),
        c.SetCurtain: lambda: c.SetCurtain(True),
        c.Rename: lambda: c.Rename(1, "Bo"),
        c.Remove: lambda: c.Remove(1),
        c.Restore: lambda: c.Restore(1),
        c.LiftFog: lambda: c.LiftFog(1, True),
        c.SetKey: lambda: c.SetKey(item, ChoiceAnswer(chosen=("C",))),
        c.CountAsRight: lambda: c.CountAsRight(item, ChoiceAnswer(chosen=("B",))),
        c.KeepApart: lambda: c.KeepApart(item, "waves"),
        c.GiveFullMarks: lambda: c.GiveFullMarks(item),
        c.Drop: lambda: c.Drop(item),
        c.GiveMark: lambda: c.GiveMark(item, 1, 0.5),
        c.TakeBack: lambda: c.TakeBack(item),
        c.Erase: lambda: c.Erase(1),
        c.MarkAnew: c.MarkAnew,
        c.End: c.End,
        c.Join: lambda: joins("Ines", "key"),
        c.GiveAnswer: lambda: c.GiveAnswer(1, ask, ChoiceAnswer(chosen=("B",))),
        c.TimeUp: lambda: c.TimeUp(ask, 1),
        c.CloseIfAllAnswered: lambda: c.CloseIfAllAnswered(ask, frozenset({1})),
    }
    return examples.get(command, lambda: command(step))()


ANYWHERE = {
    c.SetCurtain: "CurtainSet",
    c.Rename: "Named Renamed",
    c.Remove: "Removed",
    c.Restore: "",
    c.Erase: "Erased",
    c.LiftFog: "FogLifted",
    c.End: "Ended",
    c.Join: "Named Joined",
    c.TimeUp: "",
    c.CloseIfAllAnswered: "",
}
CORRECTED = {c.TakeBack: "", c.MarkAnew: ""}
OVER = CORRECTED | {
    c.AskAgain: "Opened",
    c.ClearAnswers: "",  # nobody has answered
    c.SetKey: "KeySet",
    c.GiveFullMarks: "FullMarksGiven",
    c.Drop: "Dropped",
    c.GiveMark: "MarkGiven",
}
LEADS_TO = {
    Phase.LOBBY: ANYWHERE | {c.Advance: "Opened", c.GoTo: "Opened"},
    Phase.PAGE: ANYWHERE | CORRECTED | {c.Advance: "Opened", c.GoTo: "Opened"},
    Phase.OPEN: ANYWHERE
    | CORRECTED
    | {
        c.Advance: "Closed",
        c.GoTo: "Withdrawn Opened",
        c.Close: "Closed",
        c.ClearAnswers: "",
        c.AddTime: "TimeAdded",
        c.GiveAnswer: "Answered",
        c.End: "Withdrawn Ended",
    },
    Phase.CLOSED: ANYWHERE
    | OVER
    | {
        c.Advance: "Revealed",
        c.GoTo: "Opened",
        c.Reopen: "Opened",
        c.Reveal: "Revealed",
        c.ShowStandings: "StandingsShown",
    },
    Phase.REVEALED: ANYWHERE
    | OVER
    | {c.Advance: "StandingsShown", c.GoTo: "Opened", c.ShowStandings: "StandingsShown"},
    Phase.STANDINGS: ANYWHERE | OVER | {c.Advance: "PageShown", c.GoTo: "Opened"},
    Phase.ENDED: CORRECTED
    | {
        c.Rename: "Named Renamed",
        c.Remove: "Removed",
        c.Restore: "",
        c.Erase: "Erased",
        c.LiftFog: "FogLifted",
        c.TimeUp: "",
        c.CloseIfAllAnswered: "",
    },
}
"""Written by hand, not read from the engine: the events that each example leads to. What is missing is refused."""


@pytest.mark.parametrize("phase", Phase)
@pytest.mark.parametrize("command", ALL_COMMANDS, ids=lambda command: command.__name__)
def test_each_command_in_each_phase(phase, command):
    room = room_in(phase)
    before = room.state
    if command in LEADS_TO[phase]:
        events = room.do(an_example(command, room))
        assert " ".join(type(event).__name__ for event in events) == LEADS_TO[phase][command]
        return
    with pytest.raises(LanternError) as refusal:
        room.do(an_example(command, room))
    assert room.state is before
    assert refusal.value.sentence.endswith(".")


def test_the_table_names_every_phase_and_only_commands():
    assert set(COMMANDS) == set(Phase)
    assert {command for row in COMMANDS.values() for command in row} == set(ALL_COMMANDS)


def test_every_event_has_its_effect():
    assert set(EVENTS) == set(get_args(Event))


@pytest.mark.parametrize("phase", Phase)
def test_every_role_has_a_view_in_every_phase(phase):
    state = room_in(phase).state
    assert student_view(state).phase is phase
    assert screen_view(state, "KELP427").phase is phase
    assert desk_view(state, "KELP427", {1}).phase is phase
    assert mine(state, Places(state), 1).name == "Fen"


@pytest.mark.parametrize("phase", Phase)
def test_the_desk_is_told_what_is_legal(phase):
    room = room_in(phase)
    for name in desk_view(room.state, "KELP427", {1}).allowed:
        command = next(one for one in ALL_COMMANDS if getattr(one, "do", None) == name)
        fresh = room_in(phase)
        fresh.do(an_example(command, fresh))
