"""When two words of a cloud are one word in singular and plural, by a conservative rule (docs/kinds.md, W2 to W4).

Only regular endings, only of languages that have them, and never for words that merely end like a plural: to part
what belongs together is a blemish, to merge what does not is a lie.
"""

import re
from functools import lru_cache

from lantern.core.questions.marking.letters import first_part, in_small_letters, made_alike

SHORTEST = 3
"""Letters of the shortest singular."""

_ENDINGS = {
    "en": ((r"(?:([sxz]|[cs]h)es?|([^sui'])s)$", r"\1\2"), (r"(..)ie$", r"\1y"), (r"(...)oe$", r"\1o")),
    "fr": ((r"(eau|eu)x$", r"\1"), (r"([^sxzuiè'])s$", r"\1")),
    "es": ((r"([aeo])s$", r"\1"),),
    "pt": ((r"([aeo])s$", r"\1"),),
}
"""What is taken off the end, one after the other; what is left is compared and never shown: it may be no word."""

_NO_PLURAL = {
    "en": """news lens gas canvas atlas chaos always perhaps this was has plus bias cosmos alias christmas physics
        mathematics politics economics ethics means goods customs series species mars paris texas athens thames yes
        ours yours hers theirs whereas besides sometimes afterwards towards overseas nowadays maths arms manners""",
    "fr": """fils bras temps corps cours mois pays bois poids dos repos bas pas cas las tas gros vers mars sens gens os
        dans sans mais jamais ours concours discours secours parcours velours palais marais anglais français frais
        relais lilas repas ananas cadenas matelas verglas toujours alors ailleurs dehors envers univers travers divers
        chaos héros lis""",
    "es": """lunes martes jueves viernes dos tres seis mes caos además antes después menos entonces lejos paraguas
        cumpleaños atlas gas dios cosmos más""",
    "pt": "antes depois menos mais mês três gás atlas dois deus óculos férias ourives mas nos vos dos das",
}
_SINGULAR_ONLY = {language: frozenset(words.split()) for language, words in _NO_PLURAL.items()}
"""Words that end like a plural and are none, or mean something else than the singular they seem to have."""
_PATTERNS = {
    language: [(re.compile(pattern), singular) for pattern, singular in endings]
    for language, endings in _ENDINGS.items()
}


@lru_cache(maxsize=8192)
def merged_as(word: str, language: str, *, apart: frozenset[str] = frozenset()) -> str:
    """What two words have in common when they count as one: case and white space aside, a regular plural its singular.

    Words in `apart` (`made_alike`) count each for itself, just as they are written.
    """
    alone = made_alike(word, language)
    if alone in apart:
        return f"={alone}"
    small = as_counted(word, language)
    if small in _SINGULAR_ONLY.get(first_part(language), ()):
        return small
    bare = small
    for pattern, singular in _PATTERNS.get(first_part(language), ()):
        bare = pattern.sub(singular, bare)
    return bare if len(bare) >= SHORTEST else small


def as_counted(word: str, language: str) -> str:
    """The word without regard to case and white space."""
    return in_small_letters(made_alike(word, language), language)
