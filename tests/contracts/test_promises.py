"""Every sentence with a number in docs/kinds.md, docs/games.md, docs/measures.md and docs/set-work.md has a test that
names it, and each test names one."""

import re

from tests.contracts.marking_cases import cases_of
from tools.server import ROOT

TABLES = ("text", "dictation", "gaps", "clouds", "numbers")


def promised() -> set[str]:
    texts = [(ROOT / f"docs/{name}.md").read_text() for name in ("kinds", "games", "measures", "set-work")]
    return set(re.findall(r"\*\*([A-Z]\d+)\*\*", "".join(texts)))


def kept() -> set[str]:
    """Those named in a table of cases, or at the end of a test's name, as `_t1_k5`."""
    named = {case["promise"] for name in TABLES for case in cases_of(name)}
    for path in (ROOT / "tests").rglob("test_*.py"):
        for ending in re.findall(r"def test_\w*?((?:_[a-z]\d{1,2})+)\(", path.read_text()):
            named |= {one.upper() for one in ending.strip("_").split("_")}
    return named


def test_every_promise_is_held_by_a_test_that_names_it():
    assert promised() - kept() == set()


def test_no_test_names_a_promise_that_nobody_made():
    assert {one for one in kept() if one[0] in {p[0] for p in promised()}} - promised() == set()


def test_there_are_promises():
    assert len(promised()) > 60
