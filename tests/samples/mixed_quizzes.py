"""Quizzes of several parts as chats and teachers write them: each part of its own kind under its own heading, a key by
parts at the end, or an answer below each question."""

from collections.abc import Iterator
from random import Random

from tests.samples.usual_exercises import ORDERED, PAIRS, SEVERAL, shuffled
from tests.samples.usual_ways import ANSWERED, CHOICES, GAPPED, LETTERS, STATED, Written

TITLES = {
    "choices": ("Multiple Choice", "Multiple choice questions", "Choose the correct answer"),
    "several": ("Multiple answers", "Select all that apply"),
    "stated": ("True or False", "True/False"),
    "gapped": ("Fill in the Blanks", "Fill in the blank"),
    "matching": ("Matching", "Match the terms with their definitions"),
    "short": ("Short Answer", "Short answer questions"),
    "open": ("Essay", "Open-ended questions", "Discussion questions"),
    "ordering": ("Ordering", "Put in the right order"),
}
COUNTED_HEADS = (
    "## Part {p}: {t}", "**Part {p}: {t}**", "**Section {p}: {t}**", "## Section {l} – {t}", "{l}. {t}", "Part {l}. {t}",
    "#### Part {p} – {t} (2 points each)", "PART {l}: {t}",
)  # fmt: skip
BARE_HEADS = ("### {t}", "**{t}**")
TASKS = ("Why is the harbour important for the town?", "Describe what a pilot does.", "Explain how tides work.")
NUMBERS = ("{n}. {q}", "**{n}.** {q}", "{n}) {q}", "**{n}. {q}**")
OPTIONS = ("{a}) {o}", "{A}) {o}", "   {a}) {o}", "- {A}) {o}", "{A}. {o}", "   - {A}) {o}")
BELOW = ("Answer: {s}", "**Answer:** {s}", "*Answer: {s}*", "✅ **Answer:** {s}", "   **Answer:** {s}")
IN_KEY = ("{n}. {s}", "**{n}.** {s}", "{n}) {s}", "- {n}. {s}")
KEY_HEADS = ("## Answer Key", "**Answer Key**", "---\n\n### Answers", "Answer key:", "### ✅ Answer Key")
TRUTHS = ("{q}", "T / F: {q}", "True or False: {q}", "{q} (True/False)")
INTROS = (
    "",
    "# Harbour Quiz",
    "Here's a quiz about the harbour:",
    "# Test\n\n**Name:** __________  **Date:** ________",
)
MATCH = ("Match each term with its definition.", "Match the terms on the left with the definitions on the right.")
VARY = ("Answers may vary.", "(Answers will vary)")
Question = tuple[str, str, str]
"""(its text below its number, what the key says, what it means)."""


def mixed_quizzes(random: Random) -> Written:
    """Two to five parts, numbered on or anew."""
    sorts = random.sample(list(TITLES), random.choice((2, 3, 4, 5)))
    counts_on, has_key = random.random() < 0.5, random.random() < 0.6
    head = random.choice((*COUNTED_HEADS, *BARE_HEADS) if counts_on else COUNTED_HEADS)
    number, option, below, in_key = (random.choice(some) for some in (NUMBERS, OPTIONS, BELOW, IN_KEY))
    gap, truth = random.choice(("____", "__________")), random.choice(TRUTHS)
    blocks, key, meant, n = [random.choice(INTROS)], [random.choice(KEY_HEADS)], [], 0
    for place, sort in enumerate(sorts):
        heading = head.format(p=place + 1, l=LETTERS[place], t=random.choice(TITLES[sort]))
        blocks.append(heading)
        key += ["", heading] if not counts_on or in_key.startswith("**") else []
        n = n if counts_on else 0
        for asked, said, means in _questions(random, sort, option, gap, truth):
            n += sort != "matching"
            first, end, rest = asked.partition("\n")
            lines = asked if sort == "matching" else f"{number.format(n=n, q=first)}{end}{rest}"
            apart = "\n\n" if sort == "matching" else "\n"
            blocks.append(lines if has_key else f"{lines}{apart}{below.format(s=said)}")
            key.append(said if sort == "matching" else in_key.format(n=n, s=said))
            meant.append(means)
    text = "\n\n".join([*filter(None, blocks), *(["\n".join(key)] if has_key else [])])
    return Written(text, tuple(meant), (head, str(counts_on), str(has_key), number, option, *sorts))


def _questions(random: Random, sort: str, option: str, gap: str, truth: str) -> Iterator[Question]:
    if sort == "matching":
        yield _matching(random)
    elif sort == "ordering":
        asks, steps = random.choice(ORDERED)
        turned = shuffled(random, len(steps))
        names = [_named(option, turned.index(at)) for at in range(len(steps))]
        lines = _listed(asks, [steps[at] for at in turned], option)
        yield lines, ", ".join(names), f"order | {asks} | {' > '.join(steps)}"
    elif sort in {"choices", "several"}:
        for one in random.sample(CHOICES if sort == "choices" else SEVERAL, 2):
            right = (one[2],) if isinstance(one[2], int) else one[2]
            said = ", ".join(_named(option, at) for at in right)
            if sort == "choices" and random.random() < 0.5:
                said = f"{said}) {one[1][right[0]]}"
            yield _listed(one[0], one[1], option), said, f"choice | {one[0]} | {' + '.join(one[1][at] for at in right)}"
    elif sort == "stated":
        for text, is_true in random.sample(STATED, 2):
            yield truth.format(q=f"{text}."), str(is_true), f"choice | {text}. | {is_true}"
    elif sort == "gapped":
        for text, word in random.sample(GAPPED, 2):
            yield text.format(gap), word, f"gap_fill | Fill in the gap. | {text.format(f'[{word}]')}"
    elif sort == "short":
        for asks, said in ANSWERED[:2]:
            yield asks, said, f"text_entry | {asks} | {said}"
    else:
        for asks in random.sample(TASKS, 2):
            yield asks, random.choice(VARY), f"open_response | {asks} | "


def _matching(random: Random) -> Question:
    asks, pairs = random.choice(MATCH), random.sample(PAIRS, 4)
    turned = shuffled(random, len(pairs))
    lefts = [f"{n}. {left}" for n, (left, _) in enumerate(pairs, start=1)]
    rights = [f"{LETTERS[at]}. {pairs[place][1]}" for at, place in enumerate(turned)]
    rows = [f"| {left} | {right} |" for left, right in zip(lefts, rights, strict=True)]
    table = ["| Term | Definition |", "|---|---|", *rows]
    body = "\n".join(table if random.random() < 0.5 else [*lefts, "", *rights])
    key = ", ".join(f"{at + 1}-{LETTERS[turned.index(at)]}" for at in range(len(pairs)))
    return f"{asks}\n\n{body}", key, f"match | {asks} | " + " + ".join(f"{left}={right}" for left, right in pairs)


def _listed(asks: str, texts: tuple[str, ...] | list[str], option: str) -> str:
    lines = [option.format(a=LETTERS[at].lower(), A=LETTERS[at], o=text) for at, text in enumerate(texts)]
    return "\n".join([asks, *lines])


def _named(option: str, at: int) -> str:
    return LETTERS[at].lower() if "{a}" in option else LETTERS[at]
