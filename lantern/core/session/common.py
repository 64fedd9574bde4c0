"""Commands that every manner has alike: people, a pause, and what is put right afterwards."""

from collections.abc import Callable, Sequence
from typing import Any

from lantern.core.session import boards, corrections, notes, pausing, people
from lantern.core.session import commands as c
from lantern.core.session import events as e
from lantern.core.session.actors import Sent
from lantern.core.session.model import State

Handlers = dict[type, Callable[[State, Any, Sent], Sequence[e.Event]]]


def nothing(state: State, command: c.Command, sent: Sent) -> Sequence[e.Event]:
    """What came too late to matter."""
    return []


ALWAYS: Handlers = {
    c.Rename: people.rename,
    c.Remove: people.remove,
    c.Restore: people.restore,
    c.Release: people.release,
    c.Erase: people.erase,
    c.LiftFog: people.lift_fog,
    c.Write: pausing.write,
    c.NoteDone: notes.note_done,
    c.GuideGame: boards.guide,
    c.TimeUp: nothing,
    c.PaperTimeUp: nothing,
    c.CloseIfAllAnswered: nothing,
    c.GoOn: nothing,
    c.TalkOver: nothing,
}
RUNNING: Handlers = ALWAYS | {
    c.Join: people.join,
    c.WriteNote: notes.write_note,
    c.ChooseLight: people.choose_light,
    c.MakeMove: boards.make_move,
    c.Lock: people.lock,
    c.Pause: pausing.pause,
    c.Resume: pausing.resume,
}
"""As long as the session has not ended."""
CORRECTED: Handlers = {
    c.SetKey: corrections.set_key,
    c.CountAsRight: corrections.count_as_right,
    c.KeepApart: corrections.keep_apart,
    c.JoinWords: corrections.join_words,
    c.GiveFullMarks: corrections.give_full_marks,
    c.Drop: corrections.drop,
    c.GiveMark: corrections.give_mark,
    c.SetRubric: corrections.set_rubric,
    c.Comment: corrections.comment,
    c.TakeBack: corrections.take_back,
    c.MarkAnew: corrections.mark_anew,
}
OF_A_REPORT = frozenset(CORRECTED) | {c.Rename, c.Remove, c.Restore, c.Erase}
"""What a report asks for, also of what nobody leads: set work."""
ENDED: Handlers = ALWAYS | CORRECTED | {c.OpenFeedback: pausing.open_feedback, c.OpenAgain: pausing.open_again}
WHILE_PAUSED = frozenset(RUNNING) - {c.MakeMove} | frozenset(CORRECTED)
WHILE_PAUSED |= {c.Advance, c.SetCurtain, c.HideShare, c.GiveAnswer, c.End}
"""What is legal while a session is paused, where it is legal otherwise. An answer that was acknowledged may be sent
again then, too: it must be told so."""
