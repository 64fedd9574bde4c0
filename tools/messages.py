"""Every message that the source can say: its code, its English sentence, and where it stands.

`python -m tools.messages` writes the list of them into docs/errors.md.
"""

import ast
import importlib
import os
from collections.abc import Iterator
from functools import cache
from pathlib import Path
from string import Formatter
from typing import NamedTuple

from lantern.core.errors import LanternError
from lantern.core.sentences import OTHERWISE, SENTENCES
from tools.server import ROOT

SAYING = {"said", "_of_item", "_of_ask", "_of_seat", "_plain", "_of_item_itself"}
"""What makes a message of a code and a sentence."""
DOC, BEGIN, END = ROOT / "docs/errors.md", "<!-- every message -->\n", "<!-- end -->\n"


class Spoken(NamedTuple):
    """`given` are the names of the parameters; None where a helper of the place gives them."""

    place: str
    code: str
    sentence: str
    given: set[str] | None


def parameters(sentence: str) -> set[str]:
    return {name for _, name, _, _ in Formatter().parse(sentence) if name}


def refusals(of: type[LanternError] = LanternError) -> Iterator[type[LanternError]]:
    """What the rules refuse, and what only a server can."""
    os.environ.setdefault("DJANGO_SETTINGS_MODULE", "lantern.server.config.settings")
    importlib.import_module("lantern.server.api.errors")
    for refusal in of.__subclasses__():
        yield refusal
        yield from refusals(refusal)


@cache
def modules() -> list[tuple[Path, ast.Module]]:
    """All of the source, read once."""
    return [(path, ast.parse(path.read_text("utf-8"))) for path in sorted((ROOT / "lantern").rglob("*.py"))]


@cache
def calls() -> list[tuple[str, ast.Call]]:
    return [
        (f"{path.relative_to(ROOT)}:{node.lineno}", node)
        for path, module in modules()
        for node in ast.walk(module)
        if isinstance(node, ast.Call)
    ]


def name_of(call: ast.Call) -> str:
    return getattr(call.func, "id", getattr(call.func, "attr", ""))


def text_of(node: ast.expr) -> str | None:
    return node.value if isinstance(node, ast.Constant) and isinstance(node.value, str) else None


@cache
def spoken() -> tuple[Spoken, ...]:
    """All that is said to people, with its place."""
    return tuple(_spoken())


def _spoken() -> Iterator[Spoken]:
    for path, module in modules():
        yield from _said_in(str(path.relative_to(ROOT)), module)
    every_refusal: list[type[LanternError]] = [LanternError, *refusals()]
    for refusal in every_refusal:
        if "sentence" in vars(refusal):
            yield Spoken(refusal.__name__, refusal.code, refusal.sentence, set())
    for name, sentence in [*SENTENCES.items(), ("does_not_fit", OTHERWISE)]:
        yield Spoken("sentences", f"value_{name}", sentence, parameters(sentence))


def _said_in(place: str, module: ast.Module) -> Iterator[Spoken]:
    """Sentences that stand in the call, in a name beside it, or in a table whose pairs it says."""
    for scope in [module, *(node for node in ast.walk(module) if isinstance(node, ast.FunctionDef))]:
        named: dict[str, str] = {}
        for node in _within(scope):
            if isinstance(node, ast.Assign) and isinstance(node.targets[0], ast.Name) and text_of(node.value):
                named[node.targets[0].id] = str(text_of(node.value))
            if isinstance(node, ast.Call) and name_of(node) in SAYING and len(node.args) == 2:
                code, second = text_of(node.args[0]), node.args[1]
                sentence = named.get(second.id) if isinstance(second, ast.Name) else text_of(second)
                if code and sentence:
                    given = {word.arg for word in node.keywords if word.arg} if name_of(node) == "said" else None
                    yield Spoken(f"{place}:{node.lineno}", code, sentence, given)
            if isinstance(node, ast.Dict | ast.IfExp):
                values = node.values if isinstance(node, ast.Dict) else [node.body, node.orelse]
                for pair in (one for one in values if isinstance(one, ast.Tuple) and len(one.elts) == 2):
                    code, sentence = text_of(pair.elts[0]), text_of(pair.elts[1])
                    if code and sentence and sentence.endswith("."):
                        yield Spoken(f"{place}:{node.lineno}", code, sentence, None)


def _within(scope: ast.AST) -> Iterator[ast.AST]:
    """In the order of the source, without what functions inside hold."""
    for child in ast.iter_child_nodes(scope):
        if not isinstance(child, ast.FunctionDef):
            yield child
            yield from _within(child)


def every() -> dict[str, str]:
    """From code to sentence, by the alphabet."""
    return dict(sorted({one.code: one.sentence for one in spoken()}.items()))


def listed() -> str:
    lines = (
        f"| `{code}` | {sentence.strip().replace('|', '¦').replace(chr(10), ' ')} |"
        for code, sentence in every().items()
    )
    return "\n".join(["| code | in English |", "|---|---|", *lines]) + "\n"


def written() -> str:
    """The document with the list as it is now."""
    text = DOC.read_text("utf-8")
    return text[: text.index(BEGIN) + len(BEGIN)] + listed() + text[text.index(END) :]


if __name__ == "__main__":
    DOC.write_text(written(), "utf-8")
