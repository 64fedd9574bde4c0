"""Lists of terms and what they mean, by tab, dash, colon, equals sign, or as a table."""

import re
from dataclasses import dataclass, replace

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.labels import LETTER
from lantern.core.formats.pasted.patterns import CELL_OF_OPTION
from lantern.core.formats.sayings import words

FEWEST, MOST_WORDS_BY_COMMA = 3, 3
LONGEST_TERM = 80
# In the order in which they are tried: the surest first.
_BETWEEN = (
    re.compile(r"\t+"),
    re.compile(r"\s*\|\s*"),
    re.compile(r"(?<=\S)\s{3,}(?=\S)"),
    re.compile(r"\s+[-–—]+>?\s+|\s*→\s*"),
    re.compile(r"\s*::\s*"),
    re.compile(r"\s*=\s*"),
    re.compile(r"\s*[:：]\s+"),
    re.compile(r"\s*;\s*"),
    re.compile(r"\s+/\s+"),
    re.compile(r"\s*\.{4,}\s*"),
    re.compile(r"\s*,\s+"),
)
_ALPHABET = "abcdefghijkl"
_COLUMNS, _FAR, _EQUALS, _COLON, _SLASH, _COMMA = (
    _BETWEEN[:3],
    _BETWEEN[2],
    _BETWEEN[5:6],
    _BETWEEN[6],
    _BETWEEN[8],
    _BETWEEN[10],
)
_OPTIONS_WITHIN = re.compile(r"(?:^|\s)\(?a[.)]\s.*\s\(?b[.)]\s", re.I)
_POINTED = re.compile(r"→|⇒|->|=>")
_PRESENTS = re.compile(r"^\W*(?:here (?:are|is)|hier (?:sind|ist)|voici|aquí (?:están|tienes)|ecco)\s+", re.I)
_TICKED = re.compile(r"\s*[✅✔✓]\s*$")
_SIGN = re.compile(r"^\s*[✅✔✓❌✗✘]")
_RULE = re.compile(r"^[\s|:+-]+$")
_ANSWERED_CHOICE = re.compile(r"^(.+ / .+?)\s+[-–—]\s+(.+)$")
_DOES = re.compile(rf"^\W*(?:\d{{1,3}}[.)]\s+)?(?:\(\d+ points\)\s+)?{words('write')}(?!\w)", re.I)
_MARK = re.compile(r"^\s*(?:[-*•]|\d{1,3}[.)])\s+(?=\S)")
HEADS = re.compile(
    r"^(?:terms?|words?|definitions?|meanings?|translations?|vocabulary|left|right|questions?|answers?|begriffe?|wort|wörter|bedeutung"
    r"|übersetzung|definition|mots?|sens|traduction|palabras?|significado|traducción|english|french|german|spanish|italian|latin|dutch"
    r"|polish|turkish|greek|russian|ukrainian|arabic|deutsch|englisch|französisch|spanisch|italienisch|latein|français|anglais|allemand"
    r"|espagnol|español|inglés|francés|alemán|українська|англійська)$",
    re.I,
)
_NO_TERM = re.compile(
    rf"^(?:\(?(?:{LETTER}|\d{{1,3}}|[ivx]{{1,4}})[.):]?|\d[\d\s.,]*[+\-*x×·÷:/^√−–][\d\s+\-*x×·÷:/().,^²³√−–]*)$", re.I
)
"""The letter of an option, the number of a question, the left side of a sum."""
_SUM = re.compile(r"^(?=[^=]*[+\-*x×·÷:/^²³√−–%])[\d√(−-](?:[\d\s+\-*x×·÷:/().,^²³√−–%]|of|von|de|di)*=")
_OPTION_NAME = re.compile(rf"^(?:{words('option')})\s*(?:{LETTER}|\d{{1,2}})$", re.I)
_QUESTION_NAME = re.compile(rf"^(?:{words('question')})\s*\.?\s*#?\d{{1,3}}$", re.I)
_SAYS_ANSWER = re.compile(rf"\s\(?(?:{words('answer')})$", re.I)
_ANSWERING = {"q", "a"}
_ABOUT_A_LETTER = re.compile(rf"^{words('letter_head')}\.?$", re.I)
_OUTSIDE = re.compile(r"[\w.+-]+@[\w-]+\.\w|https?://|\bwww\.|^\+?[\d ()/-]{6,}$|^\d{1,2}[:.]\d{2}\b")


@dataclass(frozen=True, slots=True)
class PairList:
    """`guessed` is a row that was taken as a heading although nothing says so but its look; "" for none. `title`
    stands above it and asks nothing. `by_colon`, `by_comma`: nothing but that says that they are pairs."""

    prompt: str
    pairs: tuple[tuple[str, str], ...]
    guessed: str = ""
    title: str = ""
    by_colon: bool = False
    by_comma: bool = False


def pairs_of(text: str) -> PairList | None:
    """The list of pairs that this text is, with the line above it; None if it is none."""
    filled = [line for line in text.split("\n") if line.strip()]
    ruled = next((at for at, line in enumerate(filled) if _RULE.match(line)), None)
    head = filled[ruled - 1] if ruled else None
    lines = [line for line in filled if not _RULE.match(line) and line is not head]
    if len(lines) < FEWEST:
        return None
    for skipped in (0, 1):
        found = _pairs_in(lines[skipped:], headed=head is not None)
        if found is not None:
            prompt = lines[0].rstrip() if skipped else ""
            if prompt and not prompt.endswith((*".:?!。：？", "…")) and line_of.question_number(prompt) is None:
                return PairList(
                    "",
                    found.pairs,
                    found.guessed,
                    by_colon=found.by_colon,
                    by_comma=found.by_comma,
                    title=re.sub(r"^\s*#+\s*", "", prompt).strip(),
                )
            presents = _PRESENTS.match(prompt)
            if presents:
                return replace(found, title=prompt[presents.end() :].rstrip(" .:：").strip(), by_colon=found.by_colon)
            numbered = line_of.question_number(prompt)
            prompt = (numbered[2] if numbered else re.sub(r"^\s*#+\s*", "", prompt)).strip().rstrip(":：")
            return PairList(
                prompt, found.pairs, found.guessed, by_colon=found.by_colon and not prompt, by_comma=found.by_comma
            )
    return None


def _pairs_in(lines: list[str], *, headed: bool) -> PairList | None:
    if len(lines) < FEWEST or any(
        line_of.answer(line) is not None or line_of.reason(line) is not None for line in lines
    ):
        return None
    bare = [_MARK.sub("", line).strip().strip("|").strip() for line in lines]
    if all(map(_TICKED.search, bare)):
        bare = [_TICKED.sub("", line) for line in bare]  # all of them are right
    named = [found[1].lower() if (found := CELL_OF_OPTION.match(line)) else "" for line in bare]
    if "".join(named) == _ALPHABET[: len(named)]:
        bare = [CELL_OF_OPTION.sub("", line) for line in bare]
    elif len(set(named)) > FEWEST and "".join(named).startswith("ab"):
        return None  # they are options
    if all((found := _ANSWERED_CHOICE.match(line)) and _is_chosen(found[1], found[2]) for line in bare):
        return None  # "receive / recieve – receive"
    for between in _BETWEEN:
        if not all(map(between.search, bare)):
            continue
        halves = [[half.strip() for half in between.split(line, maxsplit=1)] for line in bare]
        if not all(len(half) == 2 and all(half) for half in halves):
            continue
        if between in (*_COLUMNS, _SLASH) and any(between.search(half[1]) for half in halves):
            continue  # a table with more columns than two is no list of pairs
        pairs = [(half[0], half[1]) for half in halves]
        if all(_NO_TERM.match(left) for left, _ in pairs) or len({right for _, right in pairs}) == 1:
            continue
        if len({half[0].partition(":")[0] for half in halves if ": " in half[0]}) == 1 and all(
            ": " in h[0] for h in halves
        ):
            continue  # "Translate: the harbour – der Hafen" asks
        if any(_OPTIONS_WITHIN.search(half[1]) for half in halves) or all(_is_chosen(*half) for half in halves):
            continue
        if between in _EQUALS and (_has_options(bare) or sum(map(bool, map(_SUM.match, bare))) * 2 >= len(bare)):
            continue
        if all(map(_POINTED.search, (half[1] for half in halves))):
            continue  # what is right stands behind an arrow
        if all(left.endswith(".") and _DOES.match(left) for left, _ in pairs):
            continue  # "Name the river. – Tarn" asks
        if any(_SIGN.search(half[1]) or "__" in half[1] for half in halves):
            continue  # each says whether it is right, or has a gap
        if between is _FAR and ("".join(named) or any(CELL_OF_OPTION.match(half[1]) for half in halves)):
            continue
        if all(map(_POINTED.search, bare)) and all(_is_corrected(*half) for half in halves):
            continue
        guessed = ""
        if not headed and all(HEADS.match(part) for part in pairs[0]):
            pairs = pairs[1:]
        elif not headed and len(pairs) > FEWEST and _seems_headed(pairs, in_columns=between in _COLUMNS):
            guessed, pairs = " – ".join(pairs[0]), pairs[1:]
        if [left for left, _ in pairs] == [str(number) for number in range(1, len(pairs) + 1)]:
            continue
        if between is _COLON and any(left.casefold() in _ANSWERING for left, _ in pairs):
            continue
        if len({CELL_OF_OPTION.sub("", left).casefold() for left, _ in pairs}) * 2 <= len(pairs):
            continue
        if between is _COLON and any(right.endswith(("?", "!", "？", "！")) for _, right in pairs):
            continue  # people speak
        if between is _COMMA and not _is_word_list(pairs):
            continue
        enough = len(pairs) >= FEWEST - 1 and all(_is_pair(*pair) for pair in pairs)
        if enough and not _is_a_letter(pairs, by_colon=between is _COLON):
            return PairList("", tuple(pairs), guessed, by_colon=between is _COLON, by_comma=between is _COMMA)
    return None


def _is_corrected(left: str, right: str) -> bool:
    """ "He go to school. → goes": a sentence, and a word that belongs into it."""
    return left.endswith((".", "!")) and not right.endswith((".", "!"))


def _is_chosen(left: str, right: str) -> bool:
    """ "Sails are made of (stone, glass, cloth)." and "cloth": one of what stands in brackets, or between strokes."""
    return any(
        right.strip(" .").casefold() in {part.strip().casefold() for part in re.split(r"[,/|;]", inside)}
        for inside in (*re.findall(r"[(\[]([^()\[\]]+[,/|;][^()\[\]]+)[)\]]", left), *([left] if " / " in left else []))
    )


def _is_word_list(pairs: list[tuple[str, str]]) -> bool:
    """Commas part many things: only in lists of few words without numbers are they taken for pairs."""
    return len(pairs) > FEWEST and all(
        len(half.split()) <= MOST_WORDS_BY_COMMA
        and half[-1:].isalpha()
        and "," not in half
        and not re.search(r"\d", half)
        for pair in pairs
        for half in pair
    )


def _has_options(lines: list[str]) -> bool:
    """Whether the last of several lines are lettered in turn, and the first is not."""
    lettered = [found[1].lower() if (found := CELL_OF_OPTION.match(line)) else "" for line in lines]
    options = lettered[1:]
    return not lettered[0] and options == [chr(ord("a") + at) for at in range(len(options))]


def _looks_like_a_heading(pairs: list[tuple[str, str]]) -> bool:
    """Two single words with capitals above rows of which none begins with one."""
    first, *rest = pairs
    return all(part.istitle() and " " not in part for part in first) and not any(
        part[:1].isupper() for pair in rest for part in pair
    )


def _seems_headed(pairs: list[tuple[str, str]], *, in_columns: bool) -> bool:
    """Whether the first of the rows seems to be a heading: "Cause", "Effect" above sentences."""
    first, *rest = pairs
    if in_columns and _looks_like_a_heading(pairs):
        return True
    return all(part.istitle() and " " not in part for part in first) and all(
        any(part.endswith((".", "!")) for part in pair) for pair in rest
    )


def _is_pair(left: str, right: str) -> bool:
    """A term is short, asks nothing, and is no label like "Answer"."""
    said = left.casefold().strip("*_ ")
    if _OPTION_NAME.match(left) or _QUESTION_NAME.match(left) or _SAYS_ANSWER.search(left) or "__" in left:
        return False
    is_term = len(left) <= LONGEST_TERM and not re.search("[?？؟]", left) and len(said) > 0
    beside = (
        line_of.is_aside(f"{said}: x")
        or line_of.topics(f"{said}: x") is not None
        or line_of.seconds(f"{said}: 5") is not None
    )
    if line_of.says_of_an_option(right) is not None:
        return False
    return is_term and not beside and right.casefold().rstrip(".") not in {"true", "false", "t", "f"}


def _is_a_letter(pairs: list[tuple[str, str]], *, by_colon: bool) -> bool:
    """The head of a letter, an address, a timetable: lines with two halves that are no pairs."""
    heads = sum(_ABOUT_A_LETTER.match(left) is not None for left, _ in pairs)
    return (by_colon and heads > 1) or any(_OUTSIDE.search(half) for pair in pairs for half in pair)
