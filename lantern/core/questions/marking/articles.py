"""Leading articles, by language (docs/kinds.md, T10)."""

from lantern.core.questions.marking.letters import first_part

ARTICLES = {
    "en": ("the", "a", "an"),
    "de": ("der", "die", "das", "den", "dem", "des", "ein", "eine", "einen", "einem", "einer", "eines"),
    "fr": ("le", "la", "les", "l'", "un", "une", "des", "du"),
    "es": ("el", "la", "los", "las", "lo", "un", "una", "unos", "unas"),
    "it": ("il", "lo", "la", "i", "gli", "le", "l'", "un", "uno", "una", "un'"),
    "pt": ("o", "a", "os", "as", "um", "uma", "uns", "umas"),
    "ca": ("el", "la", "els", "les", "l'", "un", "una", "uns", "unes"),
    "nl": ("de", "het", "een", "'t"),
    "sv": ("en", "ett", "den", "det", "de"),
    "da": ("en", "et", "den", "det", "de"),
    "nb": ("en", "ei", "et", "den", "det", "de"),
    "nn": ("ein", "ei", "eit", "den", "det", "dei"),
    "no": ("en", "ei", "et", "den", "det", "de"),
    "el": ("ο", "η", "το", "οι", "τα", "ένας", "μια", "μία", "ένα"),
    "hu": ("a", "az", "egy"),
}


def without_article(text: str, language: str) -> str:
    """The text without the article it begins with; an article by itself is a word like any other."""
    for article in ARTICLES.get(first_part(language), ()):
        lead = article if article.endswith("'") else f"{article} "
        if text.lower().startswith(lead) and len(text) > len(lead):
            return text[len(lead) :].lstrip()
    return text
