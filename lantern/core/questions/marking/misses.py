"""What a class may type beside the right answer: offered in the editor, to see whether it would count."""

from lantern.core.questions.marking.articles import ARTICLES
from lantern.core.questions.marking.letters import first_part, without_accents

MOST = 6


def misses_of(text: str, language: str) -> tuple[str, ...]:
    """Near misses of a spelling, each differing in one thing: capitals, accents, an article, a mark, a letter."""
    text = " ".join(text.split())
    if not text:
        return ()
    article = ARTICLES.get(first_part(language), ("",))[0]
    lead = article if article.endswith("'") else f"{article} "
    tried = (
        text.swapcase() if text.islower() or text.isupper() else text.lower(),
        without_accents(text),
        f"{lead}{text}" if article and not text.lower().startswith(lead) else "",
        f"{text}." if text[-1].isalpha() else "",
        text.replace("-", " "),
        _doubled(text),
        _swapped(text),
    )
    return tuple(dict.fromkeys(one for one in tried if one and one != text))[:MOST]


def _doubled(text: str) -> str:
    """With the middle letter twice."""
    middle = len(text) // 2
    return text[: middle + 1] + text[middle:] if text[middle].isalpha() else ""


def _swapped(text: str) -> str:
    """With two letters swapped in the middle."""
    at = len(text) // 2
    pair = text[at - 1 : at + 1]
    return text[: at - 1] + pair[::-1] + text[at + 1 :] if at and pair.isalpha() else ""
