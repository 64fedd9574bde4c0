"""Everything that can be refused. A class is what may be done about it; the message says what it is, in one code for
each meaning.

LanternError
├── NotPossible          the session is not in a state for this command
│   ├── AlreadyMovedOn   the desk acted on a view that has changed since
│   ├── NotOpen          an answer for a question that is not open
│   ├── TooLate          an answer after the time ran out
│   ├── AlreadyAnswered  a second answer where the first is final
│   ├── HandedIn         an answer on a paper that was handed in
│   ├── Paused           what has to wait until the session goes on
│   └── SessionEnded     anything after the end
├── BadAnswer            an answer that does not fit its question
├── BadName              a name that cannot be shown
├── NameTaken            a name of the class list, or a record ID, whose owner is in already
├── LightTaken           a light that somebody in the room has
├── UnknownSeat          a seat that is not in the session
│   └── TakenOut         a seat that the teacher has taken out
├── NotReady             a set that still has something to settle
├── Unreadable           a file that is not what it should be
└── BadMedia             an upload that cannot be kept
    └── BadPicture       a picture that cannot be kept
"""

from typing import ClassVar

from lantern.core.messages import Explained, Message, said


class LanternError(Explained):
    """Base of all refusals. `message` is for people, `field` names the place. `family` is the code of the branch of
    the tree that it hangs on: what devices and pages act on.

    `code` and `sentence` of a class are its message where nothing more is said.
    """

    family: ClassVar[str] = "refused"
    code = "refused"
    sentence = "That is not possible."

    def __init_subclass__(cls) -> None:
        if LanternError in cls.__bases__:
            cls.family = cls.code

    def __init__(self, message: Message | None = None, *, field: str | None = None) -> None:
        super().__init__(message or said(type(self).code, type(self).sentence))
        self.code, self.sentence, self.field = self.message.code, self.message.sentence, field


class NotPossible(LanternError):
    code = "not_possible"
    sentence = "That cannot be done at this point of the session."


class AlreadyMovedOn(NotPossible):
    code = "already_moved_on"
    sentence = "The session has already moved on. Look again, then decide."


class NotOpen(NotPossible):
    code = "not_open"
    sentence = "This question is closed, so your answer was not counted."


class TooLate(NotPossible):
    code = "too_late"
    sentence = "The time had just run out, so this answer was not counted. The next one will be."


class AlreadyAnswered(NotPossible):
    code = "already_answered"
    sentence = "You have already answered this question. Your first answer counts."


class HandedIn(NotPossible):
    code = "handed_in"
    sentence = "This paper has been handed in, so nothing in it can be changed any more."


class Paused(NotPossible):
    code = "session_paused"
    sentence = "This session is paused. Wait until it goes on."


class SessionEnded(NotPossible):
    code = "session_ended"
    sentence = "This session has ended."


class BadAnswer(LanternError):
    code = "bad_answer"
    sentence = "This answer does not fit the question. Choose again and send it once more."


class BadName(LanternError):
    code = "bad_name"
    sentence = "Type a name of 1 to 40 characters."


class NameTaken(LanternError):
    code = "name_taken"
    sentence = "Somebody has taken this name already. If it is yours, ask your teacher to free it, then join again."


class LightTaken(LanternError):
    code = "light_taken"
    sentence = "Somebody here has exactly this light. Change one part of it."


class UnknownSeat(LanternError):
    code = "unknown_seat"
    sentence = "You are no longer in this session. Join again with the code on the screen."


class TakenOut(UnknownSeat):
    code = "taken_out"
    sentence = "Your teacher has taken you out of this session. Ask to be let in again, then join once more."


class NotReady(LanternError):
    code = "not_ready"
    sentence = "There is still something to settle in this set before it can be run."


class BadMedia(LanternError):
    code = "bad_media"
    sentence = "This file cannot be used. Choose a picture, a sound or a video."


class BadPicture(BadMedia):
    code = "bad_picture"
    sentence = "This file is not a picture that can be used. Choose a PNG, JPEG, GIF or WebP file."


class Unreadable(LanternError):
    code = "unreadable"
    sentence = "This file could not be read."
