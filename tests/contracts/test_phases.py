"""Every phase with every command: it leads somewhere, or it is refused and nothing has changed."""

from typing import get_args

import pytest

from lantern.core.errors import LanternError
from lantern.core.games.soundings import GiveTurn
from lantern.core.games.teams import JoinTeam
from lantern.core.questions.kinds.choice import ChoiceAnswer
from lantern.core.questions.kinds.letter import LetterItem
from lantern.core.session import Command, Phase, led, own_pace
from lantern.core.session import commands as c
from lantern.core.session.desk_view import desk_view
from lantern.core.session.effects import EVENTS
from lantern.core.session.events import Event
from lantern.core.session.model import ask_id
from lantern.core.session.settings import Timing, WallSettings
from lantern.core.session.views import Places, mine, screen_view, student_view
from tests.builders import a_session, a_set, at_own_pace, choice, joins, page

ALL_COMMANDS = get_args(Command)


def room_in(phase: Phase, manner: str = "led"):
    """A session with one student, brought into `phase`."""
    if manner == "own_pace":
        return own_pace_in(phase)
    room = a_session(a_set(choice(id="q1"), page(id="p1"), choice(id="q2")), "Fen")
    steps = {Phase.LOBBY: 0, Phase.OPEN: 1, Phase.CLOSED: 2, Phase.REVEALED: 3, Phase.STANDINGS: 4, Phase.PAGE: 5}
    if phase is Phase.ENDED:
        room.do(c.End())
    elif phase is Phase.TALK:
        room.advance(2)
        room.do(c.Talk(room.state.step))
    else:
        room.advance(steps[phase])
    assert room.state.phase is phase
    return room


def own_pace_in(phase: Phase):
    """The student has begun, where the session has."""
    content = a_set(choice(id="q1"), page(id="p1"), choice(id="q2"))
    room = at_own_pace(content, "Fen", time=Timing(of="whole", whole=60), feedback="opened")
    if phase is not Phase.LOBBY:
        room.do(c.Advance(0))
        room.do(c.BeginPaper(1))
    if phase is Phase.ENDED:
        room.do(c.End())
    assert room.state.phase is phase
    return room


def an_example(command: type, room):
    """A command that would do something wherever it is legal."""
    step, item = room.state.step, room.state.cursor or "q1"
    ask = room.state.ask.id if room.state.ask else ask_id(item, 1)
    examples = {
        c.GoTo: lambda: c.GoTo(step, "q2"),
        c.AskNow: lambda: c.AskNow(step, LetterItem(id="now")),
        c.AddTime: lambda: c.AddTime(15),
        c.SetCurtain: lambda: c.SetCurtain(True),
        c.SetForm: lambda: c.SetForm("q1", "shares"),
        c.HideShare: lambda: c.HideShare(True),
        c.SetWall: lambda: c.SetWall(WallSettings(live=True)),
        c.Place: lambda: c.Place("q1", "hide"),
        c.GroupAlike: lambda: c.GroupAlike("q1"),
        c.JoinWords: lambda: c.JoinWords("q1", "sea", "waves"),
        c.MakeMove: lambda: c.MakeMove(1, JoinTeam(team=1)),  # what is played here has no moves
        c.ChooseLight: lambda: c.ChooseLight(1, "49305127"),
        c.Back: lambda: c.Back(1, ask, "0123456789ab", True),
        c.Rename: lambda: c.Rename(1, "Bo"),
        c.Remove: lambda: c.Remove(1),
        c.Restore: lambda: c.Restore(1),
        c.Release: lambda: c.Release(1),
        c.LiftFog: lambda: c.LiftFog(1, True),
        c.SetKey: lambda: c.SetKey(item, ChoiceAnswer(chosen=("C",))),
        c.CountAsRight: lambda: c.CountAsRight(item, ChoiceAnswer(chosen=("B",))),
        c.KeepApart: lambda: c.KeepApart(item, "waves"),
        c.GiveFullMarks: lambda: c.GiveFullMarks(item),
        c.Drop: lambda: c.Drop(item),
        c.GiveMark: lambda: c.GiveMark(item, (1,), 0.5),
        c.SetRubric: lambda: c.SetRubric(item, ()),
        c.Comment: lambda: c.Comment(item, (1,), "Look again."),
        c.TakeBack: lambda: c.TakeBack(item),
        c.Erase: lambda: c.Erase(1),
        c.MarkAnew: c.MarkAnew,
        c.End: c.End,
        c.Join: lambda: joins("Ines", "key"),
        c.GiveAnswer: lambda: c.GiveAnswer(1, ask, ChoiceAnswer(chosen=("B",))),
        c.BeginPaper: lambda: c.BeginPaper(1),
        c.GoToPlace: lambda: c.GoToPlace(1, "q2"),
        c.ClearAnswer: lambda: c.ClearAnswer(1, ask),
        c.HandIn: lambda: c.HandIn(1),
        c.Flag: lambda: c.Flag(1, "q2", True),
        c.Pause: c.Pause,
        c.WriteNote: lambda: c.WriteNote(1, "What is an isobar?"),
        c.NoteDone: lambda: c.NoteDone(1),
        c.GuideGame: lambda: c.GuideGame(GiveTurn(team=1)),  # the game of these sessions has no guides
        c.Lock: lambda: c.Lock(True),
        c.TalkOver: lambda: c.TalkOver(ask, 1),
        c.OpenFeedback: c.OpenFeedback,
        c.HandInFor: lambda: c.HandInFor(1),
        c.GiveTime: lambda: c.GiveTime(60),
        c.ReopenPaper: lambda: c.ReopenPaper(1),
        c.Write: lambda: c.Write("Look at the chart", 1),
        c.OpenAgain: c.OpenAgain,
        c.GoOn: lambda: c.GoOn(step),
        c.PaperTimeUp: lambda: c.PaperTimeUp(1, 1),
        c.TimeUp: lambda: c.TimeUp(ask, 1),
        c.CloseIfAllAnswered: lambda: c.CloseIfAllAnswered(ask, frozenset({1})),
    }
    return examples.get(command, lambda: command(step))()


ANYWHERE = {
    c.SetCurtain: "CurtainSet",
    c.HideShare: "ShareHidden",
    c.SetWall: "WallSet",
    c.Rename: "Named Renamed",
    c.Remove: "Removed",
    c.Restore: "",
    c.Release: "",  # a nickname is nobody else's to claim
    c.Erase: "Erased",
    c.LiftFog: "FogLifted",
    c.End: "Ended",
    c.Join: "Named Joined",
    c.TimeUp: "",
    c.PaperTimeUp: "",
    c.CloseIfAllAnswered: "",
    c.GoOn: "",
    c.Write: "Wrote",
    c.Pause: "Paused",
    c.Resume: "",
    c.Lock: "Locked",
    c.TalkOver: "",
    c.WriteNote: "Noted",
    c.NoteDone: "",
    c.ChooseLight: "LightChosen",
}
CORRECTED = {c.TakeBack: "", c.MarkAnew: ""}
FORM = {c.SetForm: "FormSet"}
OVER = (
    CORRECTED
    | FORM
    | {
        c.AskAgain: "Opened",
        c.ClearAnswers: "",  # nobody has answered
        c.SetKey: "KeySet",
        c.GiveFullMarks: "FullMarksGiven",
        c.Drop: "Dropped",
        c.GiveMark: "MarkGiven",
        c.Comment: "Commented",
    }
)
NOW = {c.AskNow: "ItemAdded Opened"}
LEADS_TO = {
    Phase.LOBBY: ANYWHERE | NOW | {c.Advance: "Opened", c.GoTo: "Opened"},
    Phase.PAGE: ANYWHERE | CORRECTED | NOW | FORM | {c.Advance: "Opened", c.GoTo: "Opened"},
    Phase.OPEN: ANYWHERE
    | CORRECTED
    | FORM
    | {
        c.Advance: "Closed",
        c.GoTo: "Withdrawn Opened",
        c.AskNow: "Withdrawn ItemAdded Opened",
        c.Close: "Closed",
        c.ClearAnswers: "",
        c.AddTime: "TimeAdded",
        c.GiveAnswer: "Answered",
        c.End: "Withdrawn Ended",
    },
    Phase.CLOSED: ANYWHERE
    | OVER
    | NOW
    | {
        c.Advance: "Revealed",
        c.GoTo: "Opened",
        c.Reopen: "Opened",
        c.Reveal: "Revealed",
        c.ShowStandings: "StandingsShown",
        c.Talk: "TalkStarted",
    },
    Phase.TALK: ANYWHERE
    | OVER
    | NOW
    | {
        c.Advance: "Opened",
        c.GoTo: "Opened",
        c.AddTime: "TalkMoved",
        c.Reveal: "Revealed",
    },
    Phase.REVEALED: ANYWHERE
    | OVER
    | NOW
    | {c.Advance: "StandingsShown", c.GoTo: "Opened", c.ShowStandings: "StandingsShown"},
    Phase.STANDINGS: ANYWHERE | OVER | NOW | {c.Advance: "PageShown", c.GoTo: "Opened"},
    Phase.ENDED: CORRECTED
    | {
        c.Rename: "Named Renamed",
        c.Remove: "Removed",
        c.Restore: "",
        c.Release: "",
        c.Erase: "Erased",
        c.LiftFog: "FogLifted",
        c.TimeUp: "",
        c.PaperTimeUp: "",
        c.CloseIfAllAnswered: "",
        c.GoOn: "",
        c.TalkOver: "",
        c.Write: "Wrote",
        c.NoteDone: "",
        c.OpenAgain: "OpenedAgain",
    },
}
"""Written by hand, not read from the engine: the events that each example leads to. What is missing is refused."""


_PEOPLE = {command: ANYWHERE[command] for command in (c.Rename, c.Remove, c.Restore, c.Release, c.Erase, c.LiftFog)}
_PEOPLE |= {
    c.TimeUp: "",
    c.PaperTimeUp: "",
    c.CloseIfAllAnswered: "",
    c.GoOn: "",
    c.TalkOver: "",
    c.Write: "Wrote",
    c.NoteDone: "",
}
_RUNNING = _PEOPLE | {c.Join: "Named Joined", c.Pause: "Paused", c.Resume: "", c.Lock: "Locked", c.WriteNote: "Noted"}
AT_OWN_PACE = {
    Phase.LOBBY: _RUNNING | {c.Advance: "Started", c.End: "Ended"},
    Phase.WORKING: _RUNNING
    | {
        c.Advance: "Collected HandedIn",
        c.Collect: "Collected HandedIn",
        c.HandInFor: "HandedIn",
        c.GiveTime: "TimeGiven",
        c.ReopenPaper: "",  # it has not been handed in
        c.OpenFeedback: "FeedbackOpened",
        c.Flag: "Flagged",
        c.BeginPaper: "",  # the student has begun
        c.GoToPlace: "WentTo",
        c.GiveAnswer: "Answered",
        c.ClearAnswer: "",  # there is none
        c.HandIn: "HandedIn",
        c.End: "Ended",
    },
    Phase.ENDED: _PEOPLE
    | CORRECTED
    | {
        c.SetKey: "KeySet",
        c.GiveFullMarks: "FullMarksGiven",
        c.Drop: "Dropped",
        c.GiveMark: "MarkGiven",
        c.Comment: "Commented",
        c.OpenFeedback: "FeedbackOpened",
        c.OpenAgain: "OpenedAgain",
    },
}
PAUSED = {
    "led": {
        **{command: ANYWHERE[command] for command in ANYWHERE if command not in (c.Pause, c.Resume, c.SetWall)},
        c.Pause: "",
        c.Resume: "Resumed",
        c.Advance: "Resumed",
        c.End: "Withdrawn Ended",
        c.TakeBack: "",
        c.MarkAnew: "",
    },
    "own_pace": {
        **_PEOPLE,
        c.Join: "Named Joined",
        c.WriteNote: "Noted",
        c.Lock: "Locked",
        c.Pause: "",
        c.Resume: "Resumed",
        c.Advance: "Resumed",
        c.End: "Ended",
    },
}
"""What is legal while it is paused, with a question open or papers out; all else is refused."""
MANNERS = {"led": (LEADS_TO, led.COMMANDS), "own_pace": (AT_OWN_PACE, own_pace.COMMANDS)}
PHASES = [(manner, phase) for manner, (leads_to, _) in MANNERS.items() for phase in leads_to]


@pytest.mark.parametrize(("manner", "phase"), PHASES)
@pytest.mark.parametrize("command", ALL_COMMANDS, ids=lambda command: command.__name__)
def test_each_command_in_each_phase(manner, phase, command):
    room = room_in(phase, manner)
    before, leads_to = room.state, MANNERS[manner][0][phase]
    if command in leads_to:
        events = room.do(an_example(command, room))
        assert " ".join(type(event).__name__ for event in events) == leads_to[command]
        return
    with pytest.raises(LanternError) as refusal:
        room.do(an_example(command, room))
    assert room.state is before
    assert refusal.value.sentence.endswith(".")


@pytest.mark.parametrize("manner", PAUSED)
@pytest.mark.parametrize("command", ALL_COMMANDS, ids=lambda command: command.__name__)
def test_each_command_while_it_is_paused(manner, command):
    room = room_in(Phase.OPEN if manner == "led" else Phase.WORKING, manner)
    room.do(c.Pause())
    before = room.state
    if command in PAUSED[manner]:
        events = room.do(an_example(command, room))
        assert " ".join(type(event).__name__ for event in events) == PAUSED[manner][command]
        return
    with pytest.raises(LanternError):
        room.do(an_example(command, room))
    assert room.state is before


def test_the_tables_name_every_phase_and_every_command():
    tables = [table for _, table in MANNERS.values()]
    assert {phase for table in tables for phase in table} == set(Phase)
    assert {command for table in tables for row in table.values() for command in row} == set(ALL_COMMANDS)
    assert all(set(expected) == set(table) for expected, table in MANNERS.values())


def test_every_event_has_its_effect():
    assert set(EVENTS) == set(get_args(Event))


@pytest.mark.parametrize(("manner", "phase"), PHASES)
def test_every_role_has_a_view_in_every_phase(manner, phase):
    state = room_in(phase, manner).state
    assert student_view(state).phase is phase
    assert screen_view(state, "KELP427").phase is phase
    assert desk_view(state, "KELP427", {1}).phase is phase
    assert mine(state, Places(state), 1).name == "Fen"


@pytest.mark.parametrize(("manner", "phase"), PHASES)
def test_the_desk_is_told_what_is_legal(manner, phase):
    room = room_in(phase, manner)
    for name in desk_view(room.state, "KELP427", {1}).allowed:
        command = next(one for one in ALL_COMMANDS if getattr(one, "do", None) == name)
        fresh = room_in(phase, manner)
        fresh.do(an_example(command, fresh))
