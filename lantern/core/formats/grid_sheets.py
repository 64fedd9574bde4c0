"""Crosswords and word searches on paper: the grid as SVG, and a page with its clues or words as PDF."""

from collections.abc import Mapping
from html import escape

from lantern.core.formats.typeset import Paper, made_by_typst
from lantern.core.grids import Crossword, Entry, WordSearch
from lantern.core.grids.crossword import Cell

SIDE = 30
"""Of a cell, in units of the drawing."""
WIDEST, HIGHEST, LARGEST_CELL = 170.0, 135.0, 9.0
"""Of a grid, and of a cell of it, on a page, in millimetres."""
FONTS = "'Noto Sans', 'Noto Sans Arabic', sans-serif"

# Words and clues come in as data, and never as a part of the page's source.
_PAGE = """
#let given = json(bytes(sys.inputs.given))
#set page(paper: given.paper, margin: 16mm, numbering: none)
#set text(font: ("Noto Sans", "Noto Sans Arabic"), size: 10.5pt, lang: given.lang)
#set text(dir: if given.rtl { rtl } else { ltr })
#text(size: 17pt, weight: "bold", given.title)
#v(1mm)
#grid(columns: (2fr, 1fr), gutter: 6mm, [#given.labels.name #box(width: 1fr, line(length: 100%, stroke: 0.4pt))],
  [#given.labels.date #box(width: 1fr, line(length: 100%, stroke: 0.4pt))])
#v(3mm)
#align(center, image(bytes(given.grid), format: "svg", height: given.height * 1mm))
#v(4mm)
#columns(given.columns, gutter: 8mm)[
  #for list in given.lists {
    if list.title != "" { block(sticky: true, text(weight: "bold", list.title)) }
    for one in list.lines {
      grid(columns: (7mm, 1fr), gutter: 1mm, text(weight: "bold", one.number), one.text)
      v(0.6mm)
    }
    v(2mm)
  }
]
"""


def crossword_svg(made: Crossword, *, solved: bool) -> str:
    """Cells with their numbers; with its letters where it is `solved`."""
    letters, numbers = made.letters(), made.numbers()
    parts = [_cell(made, cell, letters[cell] if solved else "", numbers.get(cell)) for cell in sorted(letters)]
    return _svg(made.columns, made.rows, parts, "A crossword")


def word_search_svg(made: WordSearch, *, solved: bool) -> str:
    """Its letters; with a line through each word where it is `solved`."""
    rows, columns = len(made.grid), len(made.grid[0]) if made.grid else 0
    parts = [f'<rect x="0.5" y="0.5" width="{columns * SIDE - 1}" height="{rows * SIDE - 1}" fill="none"/>']
    for row, line in enumerate(made.grid):
        for column, letter in enumerate(line):
            x, y = _middle(columns, (row, column), to_the_left=made.to_the_left)
            parts.append(_letter(x, y, letter))
    for one in made.hidden if solved else ():
        (x1, y1), (x2, y2) = (
            _middle(columns, cell, to_the_left=made.to_the_left) for cell in (one.cells[0], one.cells[-1])
        )
        parts.append(
            f'<line x1="{x1}" y1="{y1}" x2="{x2}" y2="{y2}" stroke-width="{SIDE * 0.7}" stroke-linecap="round" '
            'stroke-opacity="0.22"/>'
        )
    return _svg(columns, rows, parts, "A word search")


def crossword_pdf(title: str, made: Crossword, labels: Mapping[str, str], paper: Paper, *, solved: bool) -> bytes:
    """A page with the clues. `labels` are `name`, `date`, `across`, `down` and `lang`."""
    ways = [
        ("across", [one for one in made.entries if not one.down]),
        ("down", [one for one in made.entries if one.down]),
    ]
    lists = [
        {"title": labels[way], "lines": [{"number": str(one.number), "text": clue_of(one)} for one in entries]}
        for way, entries in ways
        if entries
    ]
    grid = crossword_svg(made, solved=solved)
    size = (made.rows, made.columns)
    return _page(title, grid, size, lists, 2, labels, paper, to_the_left=made.to_the_left)


def word_search_pdf(title: str, made: WordSearch, labels: Mapping[str, str], paper: Paper, *, solved: bool) -> bytes:
    """A page with the words that are hidden. `labels` are `name`, `date` and `lang`."""
    words = sorted((one.word.text for one in made.hidden), key=str.casefold)
    lists = [{"title": "", "lines": [{"number": "☐", "text": text} for text in words]}]
    grid = word_search_svg(made, solved=solved)
    size = (len(made.grid), len(made.grid))
    return _page(title, grid, size, lists, 4, labels, paper, to_the_left=made.to_the_left)


def clue_of(entry: Entry) -> str:
    """The clue, and how many letters there are in each part: "The highest tide (6, 4)"."""
    return f"{entry.word.clue} ({', '.join(map(str, entry.word.parts))})"


def _page(
    title: str,
    grid: str,
    size: tuple[int, int],
    lists: object,
    columns: int,
    labels: Mapping[str, str],
    paper: Paper,
    *,
    to_the_left: bool,
) -> bytes:
    rows, across = size
    height = min(HIGHEST, LARGEST_CELL * rows, WIDEST * rows / max(1, across))
    given = {
        "title": title,
        "grid": grid,
        "height": round(height, 1),
        "lists": lists,
        "columns": columns,
        "labels": {name: labels[name] for name in ("name", "date")},
        "lang": labels["lang"],
        "rtl": to_the_left,
        "paper": paper,
    }
    return made_by_typst(_PAGE, given)


def _middle(columns: int, cell: Cell, *, to_the_left: bool) -> tuple[float, float]:
    row, column = cell
    across = columns - 1 - column if to_the_left else column
    return (across + 0.5) * SIDE, (row + 0.5) * SIDE


def _cell(made: Crossword, cell: Cell, letter: str, number: int | None) -> str:
    x, y = _middle(made.columns, cell, to_the_left=made.to_the_left)
    parts = [f'<rect x="{x - SIDE / 2}" y="{y - SIDE / 2}" width="{SIDE}" height="{SIDE}" fill="#ffffff"/>']
    if number is not None:
        at, anchor = (x + SIDE / 2 - 2, "end") if made.to_the_left else (x - SIDE / 2 + 2, "start")
        parts.append(_text(at, y - SIDE / 2 + 9, str(number), 8, anchor))
    if letter:
        parts.append(_letter(x, y + 2, letter))
    return "".join(parts)


def _letter(x: float, y: float, letter: str) -> str:
    return _text(x, y + 6, letter, 16, "middle")


def _text(x: float, y: float, text: str, size: int, anchor: str) -> str:
    return (
        f'<text x="{x}" y="{y}" font-size="{size}" text-anchor="{anchor}" stroke="none" fill="#000">'
        f"{escape(text)}</text>"
    )


def _svg(columns: int, rows: int, parts: list[str], title: str) -> str:
    width, height = columns * SIDE + 2, rows * SIDE + 2
    return (
        f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="-1 -1 {width} {height}" width="{width}" height="{height}" '
        f'font-family="{FONTS}" stroke="#000" stroke-width="1"><title>{title}</title>{"".join(parts)}</svg>'
    )
