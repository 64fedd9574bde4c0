"""What is said to people, so that it can be said in any language: a code with its parameters.

The English sentence goes along, for whoever has no other. One code has one meaning, and one sentence
(tests/contracts/test_messages.py).
"""

from collections.abc import Sequence

from lantern.core.values import Value


class Message(Value):
    """`code` is stable; `params` are what `sentence` was made with: figures, what somebody wrote, and messages (words
    that depend on the language)."""

    code: str
    params: "dict[str, str | int | Message]"
    sentence: str

    def __str__(self) -> str:
        return self.sentence


def said(code: str, sentence: str, **params: str | int | Message) -> Message:
    """`sentence` names its parameters in braces."""
    return Message(code=code, params=params, sentence=sentence.format(**params))


def listed(words: Sequence[Message]) -> Message:
    """Words as a sentence lists them: "a", "a and b", "a, b and c"."""
    *before, last = words
    if not before:
        return last
    rest = before[0]
    for word in before[1:]:
        rest = said("list_going_on", "{first}, {second}", first=rest, second=word)
    return said("list_ending", "{first} and {last}", first=rest, last=last)


def joined(sentences: Sequence[Message]) -> Message | None:
    """One after the other: "a; b"; None for none."""
    if not sentences:
        return None
    found = sentences[0]
    for sentence in sentences[1:]:
        found = said("one_after_other", "{first}; {second}", first=found, second=sentence)
    return found


class Explained(Exception):
    """An exception that says to people why."""

    def __init__(self, message: Message) -> None:
        super().__init__(message.sentence)
        self.message = message
