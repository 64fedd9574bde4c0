"""Gaps in a text: typed, each with its own choices, or filled out of one bank of words."""

from collections.abc import Callable

from lantern.core.formats.pasted.words import FILL_GAP
from lantern.core.formats.qti.declarations import wants_all
from lantern.core.formats.qti.nodes import Node, text_of
from lantern.core.formats.qti.reading import PASSED_OVER, Fields, Reading
from lantern.core.questions.kinds.gap_fill import FILL_GAPS
from lantern.core.words import in_language

IN_LINE = {"text-entry-interaction", "inline-choice-interaction"}


def gap_match(reading: Reading, node: Node) -> Fields:
    declared = reading.declared(node)
    words = {one["identifier"]: _bare(text_of(one)) for one in node.all("gap-text")}
    into = {pair[1]: pair[0] for value in declared.right() if len(pair := value.split()) == 2}
    used: list[str] = []

    def filled(gap: Node) -> str:
        used.append(into.get(gap["identifier"], ""))
        return f"[{words.get(used[-1], '')}]"

    text = _with_gaps(node, {"gap": filled}, frozenset({"prompt", "gap-text", "gap-img"}))
    extra = [word for name, word in words.items() if name not in used]
    rest = {"all_or_nothing": bool(into) and not declared.has_mapping, "scored": bool(into)}
    return {"kind": "gap_fill", "way": "bank", "text": text, "extra": extra[:30], **rest}


def gaps(reading: Reading, body: Node) -> Fields:
    """Several gaps in a text: typed, or each with its own choices."""
    prompt: list[str] = []
    scored = capitals = False

    def typed(node: Node) -> str:
        nonlocal scored, capitals
        declared = reading.declared(node)
        right = [_bare(one) for one in declared.right()]
        reading.tell_of_points(declared, {})
        scored, capitals = scored or bool(right), capitals or declared.case_sensitive
        return f"[{'|'.join(right)}]"

    def chosen(node: Node) -> str:
        nonlocal scored
        declared = reading.declared(node)
        right = declared.right()
        scored = scored or bool(right)
        choices = node.all("inline-choice")
        ranked = sorted(choices, key=lambda one: one["identifier"] not in right)
        return f"[{'|'.join(_bare(text_of(one)) for one in ranked)}]"

    found = list(body.walk())
    names = {node.name for node in found if node.name in IN_LINE}
    way = "chosen" if names == {"inline-choice-interaction"} else "typed"
    text = _with_gaps(body, {"text-entry-interaction": typed, "inline-choice-interaction": chosen}, PASSED_OVER)
    first, _, rest = text.partition("\n\n")
    if rest and "[" not in first:
        prompt, text = [first], rest
    count = sum(node.name in IN_LINE for node in found)
    asks = prompt[0] if prompt else in_language(FILL_GAPS if count > 1 else FILL_GAP, reading.language)
    fields: Fields = {"kind": "gap_fill", "prompt": asks, "way": way, "text": text}
    fields |= {"strictness": {"capitals": True, "typos": False}} if capitals else {}
    return fields | {"scored": scored, "all_or_nothing": wants_all(reading.root)}


def _with_gaps(node: Node, gaps: dict[str, Callable[[Node], str]], without: frozenset[str]) -> str:
    """The text of an element with its gaps written in brackets."""
    for inner in list(node.walk()):
        if inner.name in gaps:
            said = gaps[inner.name](inner)
            tail = inner.element.tail
            inner.element.clear()
            inner.element.tag = "span"
            inner.element.text, inner.element.tail = said, tail
    return text_of(node, without=without)


def _bare(text: str) -> str:
    return " ".join(text.replace("[", "(").replace("]", ")").replace("|", "/").split())[:200]
