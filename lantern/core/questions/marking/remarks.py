"""A verdict on a typed text in words: what was forgiven, or what would have had to be (docs/kinds.md, T15)."""

from lantern.core.questions.items import Forgave, Remark
from lantern.core.questions.marking import FIRST
from lantern.core.questions.marking.spelling import Switches, Wanted, explained, is_accepted
from lantern.core.sentences import listed

_ORDER: tuple[Forgave, ...] = ("capitals", "accents", "articles", "punctuation", "typos")
_FORGIVEN: dict[Forgave, str] = {
    "capitals": "capitals",
    "accents": "accents",
    "articles": "the article",
    "punctuation": "punctuation",
    "typos": "a slip",
}
_COUNTS: dict[Forgave, str] = {
    "capitals": "capitals count here",
    "accents": "accents count here",
    "articles": "the article counts here",
    "punctuation": "punctuation counts here",
    "typos": "slips are not forgiven here",
}


def remark_on(text: str, wanted: Wanted, part: str = "") -> Remark:
    """Why the text counts or does not."""
    if wanted.rules.version == FIRST:
        return by_first_rules(text, part, is_accepted(text, wanted))
    verdict = explained(text, wanted)
    given, meant = " ".join(text.split()), verdict.spelling or ""
    said = {"given": given, "meant": meant, "part": part, "counts": verdict.right}
    if verdict.right and not verdict.switches:
        return Remark(code="as_accepted", sentence="As it is accepted.", **said)
    if verdict.right:
        forgave = tuple(_in_order(verdict.switches))
        what = listed([_FORGIVEN[name] for name in forgave])
        return Remark(code="forgiven", sentence=f"{given} → {meant}, {what} forgiven", forgave=forgave, **said)
    if verdict.word:
        sentence = f"Another word: “{verdict.word}” is a word of its own, so it is no slip of “{meant}”."
        return Remark(code="another_word", sentence=sentence, **said)
    if verdict.switches:
        what = listed([_COUNTS[name] for name in _in_order(verdict.switches)])
        return Remark(code="counts_here", sentence=f"Not “{meant}”: {what}.", **said)
    return Remark(code="not_accepted", sentence="Not among the accepted answers.", **said)


def by_first_rules(text: str, part: str, is_right: bool) -> Remark:
    """They forgave without saying what."""
    return Remark(
        code="as_accepted" if is_right else "not_accepted",
        counts=is_right,
        given=" ".join(text.split()),
        part=part,
        sentence=f"{'Right' if is_right else 'Wrong'} by the rules that this session was run with.",
    )


def _in_order(switches: Switches) -> list[Forgave]:
    return [name for name in _ORDER if name in switches]
