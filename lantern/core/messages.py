"""What is said to people, so that it can be said in any language: a code with its parameters.

The English sentence goes along, for whoever has no other. One code has one meaning, and one sentence
(tests/contracts/test_messages.py).
"""

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


class Explained(Exception):
    """An exception that says to people why."""

    def __init__(self, message: Message) -> None:
        super().__init__(message.sentence)
        self.message = message
