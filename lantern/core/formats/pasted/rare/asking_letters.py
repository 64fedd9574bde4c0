"""Letters for question and answer in other languages than English: "P: …" and "R: …" are read as "Q: …" and "A: …"."""

import re

_LINE = re.compile(
    r"^(?P<before>[\s#*_>•–-]*)(?P<letter>[^\W\d_]|问|答|問)(?P<mark>[*_]*\s?[:：][*_]*|[.)]\s)\s*(?=\S)"
)
_PAIRS = frozenset({"PR", "DR", "QR", "FA", "VA", "SC", "PO", "ВО", "ПВ", "ΕΑ", "سج", "问答", "問答"})
"""Of question and answer: Portuguese and Spanish, Italian, French, German, Dutch, Turkish, Polish, Russian, Ukrainian,
Greek, Arabic, Chinese and Japanese."""
FEWEST = 2


def with_asking_letters(lines: list[str]) -> list[str]:
    found = {at: match for at, line in enumerate(lines) if (match := _LINE.match(line))}
    said = [match["letter"].upper() for match in found.values()]
    pair = "".join(said[:2]) if len(said) >= 2 * FEWEST else ""
    if pair not in _PAIRS or said != [*pair] * (len(said) // 2):
        return lines
    label = {pair[0]: "Question: ", pair[1]: "Answer: "}
    return [
        f"{found[at]['before']}{label[found[at]['letter'].upper()]}{line[found[at].end() :]}" if at in found else line
        for at, line in enumerate(lines)
    ]
