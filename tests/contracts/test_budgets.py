"""What a student's first load weighs. The figures stand in docs/performance.md."""

import gzip
import json
from typing import get_args

from lantern.core.languages import Language
from tools.server import ROOT

DIST = ROOT / "frontend/dist/student"
SCRIPTS, STYLES = 45_000, 12_000


def weight(paths):
    return sum(len(gzip.compress((DIST / path).read_bytes(), 9)) for path in paths)


def first_load():
    """The entry and everything it needs at once; a seat is fetched while somebody types their name, and views of kinds
    come later."""
    manifest = json.loads((DIST / "manifest.json").read_text())
    wanted, scripts, styles = ["src/app/student.ts"], set(), set()
    while wanted:
        chunk = manifest[wanted.pop()]
        scripts.add(chunk["file"])
        styles |= set(chunk.get("css", []))
        wanted += [name for name in chunk.get("imports", []) if manifest[name]["file"] not in scripts]
    return scripts, styles


def test_a_students_first_load_stays_small():
    """In whatever language."""
    scripts, styles = first_load()
    spoken = [one for one in get_args(Language) if one != "en"]  # English comes with what says it
    languages = [path.relative_to(DIST) for one in spoken for path in DIST.glob(f"assets/words-{one}-*.js")]
    assert len(languages) == len(spoken)
    for words in languages:
        assert weight([*scripts, words]) <= SCRIPTS, words
    assert weight(styles) <= STYLES


def test_no_kind_is_part_of_the_first_load():
    scripts, _ = first_load()
    names = " ".join(scripts)
    assert "Player" not in names
    assert "Editor" not in names
