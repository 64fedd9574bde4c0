"""A verdict on a typed text in words: what was forgiven, or what would have had to be (docs/kinds.md, T15)."""

from collections.abc import Sequence

from lantern.core.messages import Message, listed, said
from lantern.core.questions.items import Forgave, Remark
from lantern.core.questions.marking import FIRST
from lantern.core.questions.marking.spelling import Switches, Wanted, explained, is_accepted

_ORDER: tuple[Forgave, ...] = ("capitals", "accents", "articles", "punctuation", "typos")
_FORGIVEN: dict[Forgave, Message] = {
    "capitals": said("forgave_capitals", "capitals"),
    "accents": said("forgave_accents", "accents"),
    "articles": said("forgave_articles", "the article"),
    "punctuation": said("forgave_punctuation", "punctuation"),
    "typos": said("forgave_typos", "a slip"),
    "plural": said("forgave_plural", "singular or plural"),
}
_COUNTS: dict[Forgave, Message] = {
    "capitals": said("capitals_count", "capitals count here"),
    "accents": said("accents_count", "accents count here"),
    "articles": said("articles_count", "the article counts here"),
    "punctuation": said("punctuation_counts", "punctuation counts here"),
    "typos": said("typos_count", "slips are not forgiven here"),
}
AS_ACCEPTED = said("as_accepted", "As it is accepted.")


def forgave_what(given: str, meant: str, forgave: Sequence[Forgave]) -> Message:
    what = listed([_FORGIVEN[name] for name in forgave])
    return said("forgiven", "{given} → {meant}, {what} forgiven", given=given, meant=meant, what=what)


def remark_on(text: str, wanted: Wanted, part: str = "") -> Remark:
    """Why the text counts or does not."""
    if wanted.rules.version == FIRST:
        return by_first_rules(text, part, is_accepted(text, wanted))
    verdict = explained(text, wanted)
    given, meant = " ".join(text.split()), verdict.spelling or ""
    found = {"given": given, "meant": meant, "part": part, "counts": verdict.right}
    if verdict.right and not verdict.switches:
        return Remark(code="as_accepted", why=AS_ACCEPTED, **found)
    if verdict.right:
        forgave = tuple(_in_order(verdict.switches))
        return Remark(code="forgiven", why=forgave_what(given, meant, forgave), forgave=forgave, **found)
    if verdict.word:
        another = "Another word: “{word}” is a word of its own, so it is no slip of “{meant}”."
        return Remark(code="another_word", why=said("another_word", another, word=verdict.word, meant=meant), **found)
    if verdict.switches:
        what = listed([_COUNTS[name] for name in _in_order(verdict.switches)])
        why = said("counts_here", "Not “{meant}”: {what}.", meant=meant, what=what)
        return Remark(code="counts_here", why=why, **found)
    return Remark(code="not_accepted", why=said("not_accepted", "Not among the accepted answers."), **found)


RIGHT_BY_FIRST_RULES = said("right_by_first_rules", "Right by the rules that this session was run with.")
WRONG_BY_FIRST_RULES = said("wrong_by_first_rules", "Wrong by the rules that this session was run with.")


def by_first_rules(text: str, part: str, is_right: bool) -> Remark:
    """They forgave without saying what."""
    return Remark(
        code="as_accepted" if is_right else "not_accepted",
        counts=is_right,
        given=" ".join(text.split()),
        part=part,
        why=RIGHT_BY_FIRST_RULES if is_right else WRONG_BY_FIRST_RULES,
    )


def _in_order(switches: Switches) -> list[Forgave]:
    return [name for name in _ORDER if name in switches]
