"""What mail programs, editors, chats and people do to a text on its way: it means the same afterwards."""

import re
import textwrap
from collections.abc import Callable
from random import Random

Change = Callable[[Random, str], str]

WRITTEN_BY = "On Mon, 3 Nov 2025 at 09:12, Odile Ferrand wrote:"
HEADS = (
    "Name: ______________   Date: ___________   Class: ____",
    "TEST – Harbour and sea\nClass 8b, 12 November\nTime: 20 minutes",
    "Instructions: Answer all the questions. Each question carries 1 mark.",
    "Read each question carefully and choose the best answer.",
)
FEET = (
    "Good luck!", "Page 1 of 1", "© Tarnholm Harbour School", "Total: ___ / 20 points", "Viel Erfolg!", "Turn over →",
    "Made by S. Toll, November 2025", "🌊🌊🌊",
)  # fmt: skip
BETWEEN_PAGES = ("Page 1 of 2", "- 2 -", "Tarnholm Harbour School · Seamanship")
NARROW = (60, 68, 72, 76)


def _quoted(text: str) -> str:
    return "\n".join(f"> {line}".rstrip() for line in text.split("\n"))


def _wrapped(random: Random, text: str) -> str:
    width = random.choice(NARROW)
    lines = [
        textwrap.wrap(line, width, break_on_hyphens=False) if "|" not in line else [line] for line in text.split("\n")
    ]
    return "\n".join(part for line in lines for part in line or [""])


def _between_pages(random: Random, text: str) -> str:
    blank = [found.start() for found in re.finditer(r"\n\n", text)]
    at = random.choice(blank) if blank else 0
    return f"{text[:at]}\n\n{random.choice(BETWEEN_PAGES)}\n{text[at:]}" if blank else text


def _now_and_then(random: Random, pattern: str, sign: str, share: float, text: str) -> str:
    return re.sub(pattern, lambda found: sign if random.random() < share else found[0], text)


CHANGES: dict[str, Change] = {
    "quoted": lambda _, text: _quoted(text),
    "answered": lambda _, text: f"{WRITTEN_BY}\n{_quoted(text)}",
    "in a mail": lambda _, text: f"Hi Mira,\nhere are the questions for Monday.\n\n{text}\n\nBest wishes,\nSunniva",
    "wrapped": _wrapped,
    "fixed spaces": lambda random, text: _now_and_then(random, r"(?<=\S) (?=\S)", "\u00a0", 0.2, text),
    "soft hyphens": lambda random, text: "\ufeff" + _now_and_then(random, r"(?<=\w)(?=\w)", "\u00ad", 0.05, text),
    "blank lines between": lambda _, text: text.replace("\n", "\n\n"),
    "rules between": lambda _, text: re.sub(r"\n\n(?=\S)", "\n\n---\n\n", text),
    "indented": lambda _, text: textwrap.indent(text, "    "),
    "spaces behind": lambda _, text: text.replace("\n", "  \n"),
    "other line ends": lambda _, text: text.replace("\n", "\r\n"),
    "broken by backslashes": lambda _, text: re.sub(r"(?<=\S)\n(?=\S)", "\\\\\n", text),
    "in a fence": lambda _, text: f"```\n{text}\n```",
    "escaped numbers": lambda _, text: re.sub(r"^(\d+)\. ", r"\1\\. ", text, flags=re.M),
    "tabs behind labels": lambda _, text: re.sub(r"^(\s*(?:\d+|[a-hA-H])[.)]) (?=\S)", "\\1\t", text, flags=re.M),
    "labels close": lambda _, text: re.sub(r"^(\d+[.)]) ", r"\1", text, flags=re.M),
    "bold questions": lambda _, text: re.sub(r"^(\d+[.)] )([^*\n]+)$", r"\1**\2**", text, flags=re.M),
    "points behind": lambda _, text: re.sub(r"(?<!points\)\n)^(.*\?)$", r"\1 (1 point)", text, flags=re.M),
    "shouted labels": lambda _, text: re.sub(
        r"^(?:answers?|solutions?)\b", lambda found: found[0].upper(), text, flags=re.I | re.M
    ),
    "head": lambda random, text: f"{random.choice(HEADS)}\n\n{text}",
    "foot": lambda random, text: f"{text}\n\n{random.choice(FEET)}",
    "between pages": _between_pages,
    "pictures": lambda _, text: f"⚓ Harbour quiz ⚓\n\n{text}\n\n🌊🌊🌊",
}
