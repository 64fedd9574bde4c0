"""Words to be sorted into groups: each group in a line of its own with its words, or pairs of which several have the
same partner."""

import re
from collections.abc import Sequence
from dataclasses import dataclass

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.made import Fields
from lantern.core.questions.companions import NewId
from lantern.core.questions.kinds.classify import MOST_GROUPS, MOST_LINES, WHERE_BELONGS
from lantern.core.words import in_language

_SORTS = re.compile(
    r"\b(?:sort|classify|group|categori[sz]e|put|divide|ordne|sortier\w*|gruppier\w*|classe[rz]?|range[rz]?|trie[rz]?"
    r"|clasifica|agrupa|classifica|raggruppa|classifique)(?!\w)",
    re.I,
)
_GROUP = re.compile(r"^[\s*_•–-]*(?P<name>[^:：,;]{1,40}?)[*_]*\s*[:：]\s*[*_]*\s*(?P<words>[^:：]+?)\s*\.?$")
_LISTED = re.compile(r"^(?P<asks>.+?[:：])\s*(?P<words>[^:：]+,[^:：]+?)\.?$")
FEWEST, LONGEST_ASKING = 2, 300


@dataclass(frozen=True, slots=True)
class Groups:
    """`members` are words with the places of their groups. `is_whole`: the same words are listed in what is asked."""

    prompt: str
    names: tuple[str, ...]
    members: tuple[tuple[str, int], ...]
    is_whole: bool


def groups_of(text: str) -> Groups | None:
    """ "Sort the words: cod, gull, seal", and below it "Fish: cod", "Bird: gull" …"""
    first, *below = [line.strip() for line in text.split("\n") if line.strip()] or [""]
    numbered = line_of.question_number(first)
    asks = (numbered[2] if numbered else first).strip("#*_ ")
    if len(asks) > LONGEST_ASKING or not _SORTS.search(asks) or len(below) < FEWEST or line_of.is_about_order(asks):
        return None
    found = [_GROUP.match(line) for line in below]
    groups = [(one["name"].strip(), _words(one["words"])) for one in found if one]
    members = [(word, at) for at, (_, words) in enumerate(groups) for word in words]
    listed = _LISTED.match(asks)
    same = listed is not None and sorted(map(str.casefold, _words(listed["words"]))) == sorted(
        word.casefold() for word, _ in members
    )
    is_list = len(members) > len(groups) and len({word.casefold() for word, _ in members}) == len(members)
    if len(groups) != len(below) or len(groups) > MOST_GROUPS or len(members) > MOST_LINES or not is_list:
        return None
    prompt = listed["asks"].rstrip(":： ") if listed and same else asks
    return Groups(prompt, tuple(name for name, _ in groups), tuple(members), same)


def of_pairs(prompt: str, pairs: Sequence[tuple[str, str]]) -> Groups | None:
    """Pairs of which several have the same partner sort the one into the other."""
    names = list(dict.fromkeys(right for _, right in pairs))
    if not FEWEST <= len(names) <= MOST_GROUPS or len(pairs) > MOST_LINES or len(pairs) < len(names) + 1:
        return None
    return Groups(prompt, tuple(names), tuple((left, names.index(right)) for left, right in pairs), True)


def _words(text: str) -> list[str]:
    return [word.strip() for word in re.split(r"\s*[,;]\s*", text) if word.strip()]


def classify_fields(groups: Groups, new_id: NewId, language: str) -> Fields:
    made = [{"id": new_id(), "text": name} for name in groups.names]
    members = [{"id": new_id(), "text": word, "group": made[at]["id"]} for word, at in groups.members]
    prompt = groups.prompt or in_language(WHERE_BELONGS, language)
    return {"kind": "classify", "prompt": prompt, "groups": made, "members": members}
