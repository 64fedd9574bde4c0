"""Choice questions as the HTML of web pages, word processors and chats puts them on the clipboard."""

from random import Random

from tests.samples.usual_ways import CHOICES, LETTERS, Asked, Written

MARKED = {
    "bold": "<strong>{}</strong>",
    "ticked": "{} ✅",
    "coloured": '<span style="color:#0a7d2c">{}</span>',
    "called right": "{} <strong>(correct)</strong>",
    "called right in italics": "{} <em>(correct answer)</em>",
}
SAID = ("letter below", "text below", "in italics below", "letters at the end", "texts at the end")
PROMPTS = {
    "list": "<li>{q}{o}</li>",
    "list of paragraphs": "<li><p><strong>{q}</strong></p>{o}</li>",
    "paragraph": "<p>{n}. {q}</p>{o}",
    "bold paragraph": "<p><strong>{n}. {q}</strong></p>{o}",
    "heading": "<h3>{n}. {q}</h3>{o}",
    "heading before": "<h3>Question {n}</h3><p>{q}</p>{o}",
    "div": "<div>{n}) {q}</div><div>{o}</div>",
    "broken line": "<p><strong>Question {n}</strong><br>{q}</p>{o}",
}
OPTIONS = {
    "a list with letters": ('<ol type="a">', "<li>{o}</li>", "</ol>"),
    "a list with letters by its style": ('<ol style="list-style-type: lower-alpha">', "<li>{o}</li>", "</ol>"),
    "a list of paragraphs": ('<ol type="A">', "<li><p>{o}</p></li>", "</ol>"),
    "a list with written letters": ("<ul>", "<li>{A}) {o}</li>", "</ul>"),
    "paragraphs": ("", "<p>{A}. {o}</p>", ""),
    "broken lines": ("<p>", "{a}) {o}<br>", "</p>"),
    "bullets": ("<ul>", "<li>{o}</li>", "</ul>"),
    "boxes": ("<ul>", '<li><input type="checkbox" disabled> {o}</li>', "</ul>"),
}
UNLETTERED = ("bullets", "boxes")
ENDS = (
    ("<h3>Answer Key</h3><ol>", "<li>{said}</li>", "</ol>"),
    ("<p><strong>Answers:</strong></p>", "<p>{n}. {said}</p>", ""),
    ("<hr><p><b>Answers</b>", "<br>{n}. {said}", "</p>"),
)


def pages(random: Random) -> Written:
    """A page of three choice questions; its text is HTML."""
    asked = random.sample(CHOICES, 3)
    prompt, option, way = (random.choice(list(ways)) for ways in (PROMPTS, OPTIONS, (*MARKED, *SAID)))
    if option in UNLETTERED:
        way = way.replace("letter", "text")
    blocks = [
        PROMPTS[prompt].format(n=n, q=one[0], o=_options(one, option, way) + _below(one, option, way))
        for n, one in enumerate(asked, start=1)
    ]
    body = f"<ol>{''.join(blocks)}</ol>" if prompt.startswith("list") else "".join(blocks)
    if way.endswith("at the end"):
        said = [LETTERS[one[2]] if way.startswith("letter") else one[1][one[2]] for one in asked]
        head, each, foot = random.choice(ENDS)
        body += head + "".join(each.format(n=n, said=answer) for n, answer in enumerate(said, start=1)) + foot
    head = random.choice(("", "<p>Here is your quiz:</p>", "<h2>Knots and tides</h2>"))
    meant = tuple(f"choice | {one[0]} | {one[1][one[2]]}" for one in asked)
    return Written(head + body, meant, (prompt, option, way))


def _options(one: Asked, option: str, way: str) -> str:
    head, each, foot = OPTIONS[option]
    marked = [MARKED.get(way, "{}").format(text) if at == one[2] else text for at, text in enumerate(one[1])]
    texts = [each.format(a=LETTERS[at].lower(), A=LETTERS[at], o=text) for at, text in enumerate(marked)]
    return head + "".join(texts) + foot


def _below(one: Asked, option: str, way: str) -> str:
    _, options, right, _ = one
    letter = "" if option in UNLETTERED else f"{LETTERS[right]}) "
    said = {
        "letter below": f"<p><strong>Answer:</strong> {LETTERS[right]}</p>",
        "text below": f"<p><strong>Answer:</strong> {letter}{options[right]}</p>",
        "in italics below": f"<p><em>Correct answer: {options[right]}</em></p>",
    }
    return said.get(way, "")
