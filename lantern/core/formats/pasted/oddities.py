"""What should not be in a question that was read well: a label, a letter or a second question left within its words."""

import re
from typing import Any

from lantern.core.formats.pasted.labels import LETTER
from lantern.core.formats.pasted.lines import is_labelled
from lantern.core.formats.sayings import words
from lantern.core.messages import Message, said

_LABEL = re.compile(rf"(?<!\w)(?:{words('answer', 'en')}|{words('question', 'en')}\s*\d+)\s*[:=]\s*\S+", re.I)
_OPTION_WITHIN = re.compile(rf"(?:^|\s)\(?(?:[b-hB-H]|{LETTER}(?<![A-Za-z]))[).]\s+\S+")
_OPTION_LINE = re.compile(rf"^\s*(?:\(?{LETTER}[).:]|[-•*☐☑✓✗])\s+\S")
_ASKING_WORD = re.compile(rf"^\W*(?:{words('question', 'en')})\s*[:：]", re.I)
_SLASHED = re.compile(r"[^\s/]+(?:\s*/\s*[^\s/]+)+")
_LETTERED = re.compile(r"^\s*\(?[A-La-l][.)]\s")
_MARKS_LEFT = re.compile(r"(?<![\\*])\*\*(?=\S)[^*]*|\\\*\\\*\S*")
_BOX = re.compile(r"[☐☑☒□❏❑⬜▢✓✔✅✗✘❌]")
_OPTIONS_ASKED = re.compile(r"^\s*\(?A[.)]?\s.*\s\(?B[.)]?\s")
_COUNTED = re.compile(r"(?<!\S)[2-9][.)]\s+\S.*\s[3-9][.)]\s|\|\s*-{2,}")
"""A key to several questions that was taken for one answer."""
_COUNTED_LEFT = re.compile(r"^\s*\(?\d{1,2}[.)]\s")
_LIST_IN_GAP = re.compile(r"\[[^\[\]|]*,[^\[\]|]*,[^\[\]|]*\]")
_LONE_LETTER = re.compile(r"^[A-La-l][.)]?$")
"""Nothing that is typed: it names an option that was not found."""
_GAP_IN_GAP = re.compile(r"\[[^\[\]]*_{2,}[^\[\]]*\]")
_NO_OPTION = re.compile(r"^[.,;:)\]]\s")
_NO_BEGINNING = re.compile(r"^\s*(?:[^\w\s\"'“”„«»‘’(¿¡$`\[{*_+\-−√∫∑<…./]|\([^()]*\)\s*(?:\n|$))")
"""A sign that no question begins with; a first line that is all in brackets."""
_SENTENCES = re.compile(r"\w{2,}[.!?]\s+\S")
MOST_USUAL = 8
"""Options that a question has, but for rare ones."""
MOST_WORDS_TYPED = 8
"""Of an answer that is typed, and compared with this one."""


def odd(fields: dict[str, Any]) -> Message | None:
    """Why somebody should look at an item with these fields; None where nothing is odd."""
    prompt = str(fields.get("prompt", ""))
    options = [str(option["text"]) for option in fields.get("options", ())]
    answers = [str(answer) for answer in fields.get("accepts", ()) if isinstance(answer, str)]
    for text in (prompt, *options, *answers):
        found = _LABEL.search(text)
        if found:
            return stands_in_it(found[0])
    within = next((found for option in options if (found := _OPTION_WITHIN.search(option))), None)
    if within:
        return stands_in_it(within[0])
    line = next((line for line in prompt.split("\n")[1:] if _OPTION_LINE.match(line)), None)
    if line:
        return stands_in_it(line)
    asking = next((answer for answer in answers if answer.rstrip().endswith(("?", "？", "؟"))), None)
    if asking:
        return stands_in_it(asking)
    label = _ASKING_WORD.match(prompt)
    labelled = [label[0]] if label else [line for line in prompt.split("\n")[1:] if is_labelled(line)]
    chosen = [one for one in _SLASHED.findall(prompt) if {part.strip(" .") for part in one.split("/")} & set(answers)]
    lettered = [left for pair in fields.get("pairs", ()) if _LETTERED.match(left := str(pair["left"]))]
    signs = [text for text in (prompt, *options, *answers) if _BOX.search(text)]
    typed = [*answers, str(fields.get("text", ""))]
    signs += [text for text in typed if _COUNTED.search(text) or _LIST_IN_GAP.search(text) or _GAP_IN_GAP.search(text)]
    signs += [prompt] if _OPTIONS_ASKED.match(prompt) and any(len(answer) == 1 for answer in answers) else []
    signs += [text for text in (*options, *answers) if _NO_OPTION.match(text)]
    signs += [answer for answer in answers if _LONE_LETTER.match(answer)]
    lettered += [
        str(pair["left"])
        for pair in fields.get("pairs", ())
        if _COUNTED_LEFT.match(str(pair["left"])) and _LETTERED.match(str(pair["right"]))
    ]
    marks = [found[0] for text in (prompt, *options, *typed) if (found := _MARKS_LEFT.search(text))]
    begun = [prompt[:20]] if prompt and _NO_BEGINNING.match(prompt) else []
    is_written = bool(answers) or fields.get("scored") is False
    below = [prompt.split("\n")[1]] if is_written and "\n" in prompt and "```" not in prompt else []
    strange = next(iter((*labelled, *signs, *chosen, *lettered, *marks, *begun, *below)), None)
    if strange is not None:
        return stands_in_it(strange)
    long = next((one for one in answers if len(one.split()) > MOST_WORDS_TYPED or _SENTENCES.search(one)), None)
    if long is not None:
        nobody = "“{answer}” is long for an answer that is typed: hardly anybody will write just that."
        return said("long_answer", nobody, answer=long[:80])
    if len(options) > MOST_USUAL:
        return said(
            "many_options", "It has {count} options: look whether they belong to one question.", count=len(options)
        )
    return None


def stands_in_it(text: str) -> Message:
    return said(
        "stands_in_it", "“{text}” stands in it: look whether it was read as it is meant.", text=text.strip()[:60]
    )
