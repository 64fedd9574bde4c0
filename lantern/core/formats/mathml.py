"""MathML (W3C), as it stands in packages, documents and pages, to a formula in LaTeX between two dollar signs."""

import re

import lxml.etree as etree
from mathml_to_latex.converter import MathMLToLaTeX

_UNSEEN = re.compile("[\u2061-\u2064\u200b]")
_TEX = {"application/x-tex", "application/x-latex", "tex", "latex"}
LONGEST = 20_000
_SUPER = str.maketrans("0123456789+-=()n", "⁰¹²³⁴⁵⁶⁷⁸⁹⁺⁻⁼⁽⁾ⁿ")
_SUB = str.maketrans("0123456789+-=()", "₀₁₂₃₄₅₆₇₈₉₊₋₌₍₎")


def formula_of(math: "etree._Element") -> str:
    """ "$…$"; the words alone where it cannot be said. An annotation in LaTeX goes first: it is what its writer
    typed."""
    for note in math.iter():
        if (
            isinstance(note.tag, str)
            and _name(note.tag) == "annotation"
            and note.get("encoding", "").lower() in _TEX
            and note.text
        ):
            return f"${' '.join(note.text.split())}$"
    words = " ".join("".join(math.itertext()).split())
    if len(words) > LONGEST:
        return words
    try:
        plain = _UNSEEN.sub("", etree.tostring(_bare(math), encoding="unicode", with_tail=False))
        said = str(MathMLToLaTeX().convert(plain)) if len(plain) <= LONGEST else ""
    except Exception:  # the library raises all sorts for what is not well put
        return words
    latex = _tidy(_closed(" ".join(said.split())))
    return f"${latex}$" if latex else words


FUNCTIONS = frozenset(
    "sin cos tan cot sec csc arcsin arccos arctan sinh cosh tanh log ln lg exp lim max min sup inf det dim gcd".split()
)
_WORD = re.compile(r"\\text\{[^}]*\}|\\?[A-Za-z]+")


def _tidy(latex: str) -> str:
    """What the library leaves half done: names of functions, and brackets that are signs of LaTeX, or open on one
    side."""
    latex = _WORD.sub(lambda found: f"\\{found[0]}" if found[0] in FUNCTIONS else found[0], latex)
    latex = latex.replace("\\left{", "\\left\\{").replace("\\right}", "\\right\\}")
    latex = re.sub(r"\\left(?=\s|\\begin|$|\w)", r"\\left.", latex)
    return re.sub(r"\\right(?=\s|$)", r"\\right.", latex)


def _closed(latex: str) -> str:
    """Without the spaces that say nothing: "x^{2} + a" stays readable, "i = 1" too, an end and a beginning have
    none."""
    return re.sub(r"\s*([+=<>])\s*", r"\1", latex).strip()


def _bare(element: "etree._Element") -> "etree._Element":
    """The element without prefixes and name spaces, and without annotations, which say the same once more."""
    plain = {name: value for name, value in element.attrib.items() if name.isalnum()}
    made = etree.Element(_name(element.tag), plain)
    made.text = element.text
    for child in element:
        if isinstance(child.tag, str) and not _name(child.tag).startswith("annotation"):
            inner = _bare(child)
            inner.tail = child.tail
            made.append(inner)
    return made


def _name(tag: str) -> str:
    return tag.rpartition("}")[2]


def raised(words: str, name: str) -> str:
    """Small figures above or below the line, as signs of their own where there are such, else as a formula."""
    words = words.strip()
    signs = _SUPER if name == "sup" else _SUB
    if all(ord(one) in signs for one in words):
        return words.translate(signs)
    return f"${'^' if name == 'sup' else '_'}{{\\text{{{words}}}}}$"
