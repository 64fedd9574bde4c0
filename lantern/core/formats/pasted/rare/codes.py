"""Codes and marks of an exam around what is asked: they say nothing to students, and are taken away where several
questions have them."""

import re

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.sayings import words

_CODE = re.compile(r"^(\s*)[A-Z]{1,5}[-.]?\d{1,3}(?:\.\d{1,3})?\s+(?=[A-ZÀ-Þ¿“\"])(?=.*[?？؟])")
""" "BIO-1 Which …?" """
_POINTS_FIRST = re.compile(r"^(\s*)\[(\d{1,2})\]\s*(\d{1,3}[.)])\s+(?=\S)")
_CODE_BEHIND = re.compile(r"(?<=[?？؟.:…])\s+(?:\[\d{1,3}\s?(?:s|secs?|seconds?|sek|min)\]|\([A-Z]{1,4}\d{1,2}\))\s*$")
_WROTE = re.compile(r"\s*[(\[](?:by|von|par|de|di|door|av)\s+(?P<by>[A-ZÀ-Þ][\w'’-]+(?:\s[A-ZÀ-Þ][\w'’.-]*)?)[)\]]")
_LETTER = re.compile(r"^(\s*)\(?([a-h])[.)]\s+(?=\S)")
_BOXES_BEHIND = re.compile(
    rf"\s+(?:\[[ xX]?\]|[☐☑☒])\s*{words('true')}\s+(?:\[[ xX]?\]|[☐☑☒])\s*{words('false')}\s*$", re.I
)
_SUM = re.compile(r"^[\d√(−-][\d\s+\-*x×·÷:/().,^²³√−–%]*=\s*[-−]?\d[\d.,/]*\s*$")
_TRUE_BOX = re.compile(rf"(?:\[[xX]\]|[☑☒])\s*(?P<said>{words('true')}|{words('false')})", re.I)
_STARS = re.compile(r"^(\s*\d{1,3})\s*\*{1,3}\s+(?=[A-ZÀ-Þ¿])")
_POINTS_BEHIND_NUMBER = re.compile(rf"^(\s*\d{{1,3}})\s+(\(\d{{1,3}}\s?(?:{words('points')})\.?\))\s+(?=\S)", re.I)
_WORTH_FIRST = re.compile(r"^(\s*)\[(\d{1,3})\]\s+(?=[A-ZÀ-Þ¿])")
_HEADED = re.compile(rf"^\W*(?:{words('question')})\s*\d{{1,3}}(?P<key>\s*\((?P<letter>[A-H])\))\W*$", re.I)
_SIGN_BEHIND = re.compile(r"^\s*(?P<text>\S.*?)\s+(?:(?P<sign>[+-])|\((?P<earns>[01])\))\s*$")
_HAPPY, _SAD = "✅✔👍🙂😀😃😊", "❌✗✘👎😞🙁☹"
_JUDGED = re.compile(
    rf"^(?!\s*(?:[-•*–]\s|\(?[A-La-l][.):]\s))(?P<said>\s*\S.*[.!])\s*(?P<sign>[{_HAPPY}{_SAD}])\ufe0f?\s*"
    r"(?:\((?P<why>[^()]+)\))?\s*$"
)
_CHOSEN_WITHIN = re.compile(
    r"^(?P<before>\s*[^\s?？؟][^?？؟]*?)(?P<words>[\w'’-]+(?: / [\w'’-]+)+)(?P<behind>[^/()?？؟]*)"
    r"\s+\((?P<answer>[^()]+)\)\s*$"
)
_FOOTNOTE, _NOTE_BEHIND = re.compile(r"^\s*[¹²³⁴⁵⁶⁷⁸⁹]\s*\S"), re.compile(r"(?<=[?？؟.])[¹²³⁴⁵⁶⁷⁸⁹]{1,2}\s*$")
FEWEST, FEWEST_SIGNED, LONGEST = 2, 3, 300


def _short(pattern: "re.Pattern[str]", line: str) -> "re.Match[str] | None":
    """What matches a line that is no longer than such lines are."""
    return pattern.match(line) if len(line) <= LONGEST else None


def without_codes(lines: list[str]) -> list[str]:
    """Codes before questions become numbers, those behind them go; "[2] 1. Name …" has its points behind the number."""
    coded = [at for at, line in enumerate(lines) if _CODE.match(line)]
    is_counted = any(line_of.question_number(line) and not _CODE.match(line) for line in lines)
    if len(coded) >= FEWEST and not is_counted:
        lines = _counted(lines, coded, _CODE, "")
    if sum(_POINTS_FIRST.match(line) is not None for line in lines) >= FEWEST:
        lines = [_POINTS_FIRST.sub(r"\1\3 (\2 points) ", line) for line in lines]
    for pattern, usual in ((_STARS, r"\1. "), (_POINTS_BEHIND_NUMBER, r"\1. \2 ")):
        if sum(pattern.match(line) is not None for line in lines) >= FEWEST:
            lines = [pattern.sub(usual, line) for line in lines]
    worth = [at for at, line in enumerate(lines) if _WORTH_FIRST.match(line)]
    if len(worth) >= FEWEST and not any(map(line_of.question_number, lines)):
        lines = _counted(lines, worth, _WORTH_FIRST, r"(\2 points) ")
    if sum(_CODE_BEHIND.search(line) is not None for line in lines) >= FEWEST:
        lines = [_CODE_BEHIND.sub("", line) for line in lines]
    return lines


def _counted(lines: list[str], places: list[int], front: "re.Pattern[str]", kept: str) -> list[str]:
    """The lines, those at these places counted from 1, with what is kept of what stood before them."""
    made = list(lines)
    for number, at in enumerate(places, start=1):
        made[at] = front.sub(rf"\g<1>{number}. {kept}", lines[at])
    return made


def judged(lines: list[str]) -> list[str]:
    """ "Bats are blind. 👎 (They see quite well.)": a sign, happy or not, behind several statements."""
    found = {at: match for at, line in enumerate(lines) if (match := _short(_JUDGED, line))}
    happy = {match["sign"] in _HAPPY for match in found.values()}
    if len(found) < FEWEST or len(happy) < len((True, False)):
        return lines
    made = list(lines)
    for at, match in found.items():
        why = f" – {match['why']}" if match["why"] else ""
        made[at] = f"{match['said']} ({'true' if match['sign'] in _HAPPY else 'false'}){why}"
    return made


def chosen_within(lines: list[str]) -> list[str]:
    """ "Whales are fish / mammals. (mammals)": of the words within a sentence the one behind it is right."""
    found = {at: match for at, line in enumerate(lines) if (match := _short(_CHOSEN_WITHIN, line)) and _is_one(match)}
    if len(found) < FEWEST:
        return lines
    return [
        f"{match['before']}({match['words']}){match['behind']} (Answer: {match['answer']})"
        if (match := found.get(at))
        else line
        for at, line in enumerate(lines)
    ]


def _is_one(match: "re.Match[str]") -> bool:
    return match["answer"].strip() in match["words"].split(" / ")


def without_footnotes(lines: list[str]) -> list[str]:
    """Small numbers behind what is asked, of notes that stand below."""
    if not any(_FOOTNOTE.match(line) for line in lines):
        return lines
    return [line if _FOOTNOTE.match(line) else _NOTE_BEHIND.sub("", line) for line in lines]


def keys_in_headings(lines: list[str]) -> list[str]:
    """ "Question 1 (B)", several times, and what is asked below it: the letter is its answer."""
    found = {at: match for at, line in enumerate(lines) if (match := _HEADED.match(line))}
    if len(found) < FEWEST:
        return lines
    made = list(lines)
    for at, match in found.items():
        below = next((i for i in range(at + 1, len(lines)) if lines[i].strip()), None)
        if below is not None:
            made[at] = f"{lines[at][: match.start('key')]}{lines[at][match.end('key') :]}"
            made[below] = f"{lines[below].rstrip()} (Answer: {match['letter']})"
    return made


def signs_behind(lines: list[str]) -> list[str]:
    """ "gills +", "lungs -", or "giraffe (1)", "camel (0)": options with a sign behind each."""
    found = {at: match for at, line in enumerate(lines) if (match := _short(_SIGN_BEHIND, line))}
    signs = [match["sign"] or match["earns"] for match in found.values()]
    if len(found) < FEWEST_SIGNED or set(signs) not in ({"+", "-"}, {"1", "0"}):
        return lines
    return [
        f"- {match['text']}{' (correct)' if (match['sign'] or match['earns']) in '+1' else ''}"
        if (match := found.get(at))
        else line
        for at, line in enumerate(lines)
    ]


def letters_that_ask(lines: list[str]) -> list[str]:
    """Lines counted a, b, c that each are a whole question, a sum with its result or a statement with two boxes, are
    counted 1, 2, 3."""
    found = [(at, match) for at, line in enumerate(lines) if (match := _LETTER.match(line)) and _is_whole(line, match)]
    lines = [_with_truth(line) for line in lines]
    lettered = sum(_LETTER.match(line) is not None for line in lines)
    in_turn = [match[2] for _, match in found] == [chr(ord("a") + place) for place in range(len(found))]
    if len(found) < FEWEST or len(found) != lettered or not in_turn:
        return lines
    made = list(lines)
    for place, (at, match) in enumerate(found, start=1):
        made[at] = f"{match[1]}{place}. {lines[at][match.end() :]}"
    return made


def _with_truth(line: str) -> str:
    """ "The tide turns.   [x] true  [ ] false" as "The tide turns. (true)"."""
    boxes = _BOXES_BEHIND.search(line)
    ticked = _TRUE_BOX.findall(boxes[0]) if boxes else []
    return (
        f"{line[: boxes.start()]} ({ticked[0]})"
        if boxes and len(ticked) == 1 and line[: boxes.start()].strip()
        else line
    )


def _is_whole(line: str, match: "re.Match[str]") -> bool:
    rest = line[match.end() :]
    return _BOXES_BEHIND.search(rest) is not None or _SUM.match(rest) is not None


def written_by(text: str, *, is_answered: bool) -> tuple[str, str]:
    """(a question without the name of who wrote it, the name): "What is …? (by Mika)". At the end of what nothing else
    answers the name may be the answer: "Who found it? (von Tarn)"."""
    found = _WROTE.search(text)
    if not found or not (is_answered or text[found.end() :].strip()):
        return text, ""
    return f"{text[: found.start()]}{text[found.end() :]}", found["by"]
