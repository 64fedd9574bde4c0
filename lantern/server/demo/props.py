"""Pictures drawn and words spoken for the demo sets, stored the way an upload is."""

from collections.abc import Callable
from io import BytesIO

from PIL import Image, ImageDraw

from lantern.core.questions.content import SetContent
from lantern.core.questions.items import Item, Picture
from lantern.core.questions.kinds.choice import ChoiceItem
from lantern.server.accounts.models import Teacher
from lantern.server.media.actions import store_picture, store_speech
from lantern.server.media.schemas import ToSpeak

SIZE = (1200, 640)
SCALE = 2
SEA, SKY, FOAM, INK = "#2c5a66", "#a9c8d1", "#f2f5f4", "#11212c"
RED, GREEN, LAMP = "#b03a2e", "#2f7d4f", "#f5b52e"
Draw = ImageDraw.ImageDraw


def _rhythm(draw: Draw, width: int, height: int) -> None:
    """Two flashes and a pause, along a line of seconds."""
    draw.rectangle((0, 0, width, height), fill="#0b1720")
    left, second, base = width * 0.06, width * 0.088, height * 0.62
    for start in (0, 2):
        x = left + start * second
        draw.rectangle((x, height * 0.26, x + second * 0.8, base), fill=LAMP)
    draw.line((left, base, left + second * 10, base), fill=FOAM, width=6)
    for tick in range(11):
        x = left + tick * second
        draw.line((x, base, x, base + (46 if tick % 5 == 0 else 24)), fill=FOAM, width=5)


def _marks(draw: Draw, width: int, height: int) -> None:
    """A can and a cone at the two sides of a channel, seen from the sea."""
    horizon = height * 0.52
    draw.rectangle((0, 0, width, horizon), fill=SKY)
    draw.rectangle((0, horizon, width, height), fill=SEA)
    draw.polygon([(width * 0.36, horizon), (width * 0.5, height * 0.36), (width * 0.66, horizon)], fill="#6d8d92")
    x, foot = width * 0.2, height * 0.78
    draw.rectangle((x - 70, foot - 210, x + 70, foot), fill=RED)
    draw.rectangle((x - 34, foot - 290, x + 34, foot - 220), fill=RED)
    x = width * 0.8
    draw.polygon([(x - 80, foot), (x + 80, foot), (x, foot - 230)], fill=GREEN)
    draw.polygon([(x - 40, foot - 240), (x + 40, foot - 240), (x, foot - 310)], fill=GREEN)
    for row in range(3):
        y = height * (0.84 + 0.05 * row)
        draw.line((width * 0.1, y, width * 0.9, y), fill="#3f7380", width=4)


def _isobars(draw: Draw, width: int, height: int) -> None:
    """Rings around a low that crowd together on one side."""
    draw.rectangle((0, 0, width, height), fill=FOAM)
    for ring in range(1, 9):
        near, far = ring * 34, ring * 96
        box = (width * 0.42 - far, height * 0.5 - ring * 62, width * 0.42 + near, height * 0.5 + ring * 62)
        draw.ellipse(box, outline=INK, width=5)
    x, y = width * 0.42, height * 0.5
    draw.line((x - 24, y - 30, x - 24, y + 30), fill=RED, width=14)
    draw.line((x - 30, y + 30, x + 14, y + 30), fill=RED, width=14)


def _chart(draw: Draw, width: int, height: int) -> None:
    """A harbour's mouth from above: land, a lighthouse, a shoal, two marks."""
    draw.rectangle((0, 0, width, height), fill="#cfe3ea")
    draw.polygon(
        [
            (width, 0),
            (width * 0.62, 0),
            (width * 0.7, height * 0.2),
            (width * 0.78, height * 0.5),
            (width, height * 0.56),
        ],
        fill="#d9cda6",
        outline=INK,
        width=4,
    )
    draw.polygon(
        [
            (0, height),
            (width * 0.2, height * 0.93),
            (width * 0.7, height * 0.95),
            (width, height * 0.8),
            (width, height),
        ],
        fill="#d9cda6",
        outline=INK,
        width=4,
    )
    shoal = [(width * 0.5, height * 0.3), (width * 0.66, height * 0.34), (width * 0.58, height * 0.5)]
    draw.polygon(shoal, fill="#a9cbd6", outline="#5a8a99", width=3)
    x, y = width * 0.805, height * 0.3
    draw.ellipse((x - 24, y - 24, x + 24, y + 24), fill=LAMP, outline=INK, width=6)
    for mark_y, colour in ((0.62, RED), (0.8, GREEN)):
        x, y = width * 0.36, height * mark_y
        draw.line((x, y - 60, x, y + 44), fill=INK, width=10)
        draw.ellipse((x - 34, y - 20, x + 34, y + 48), fill=colour, outline=INK, width=6)
    for line in range(4):
        y = height * (0.08 + line * 0.1)
        draw.arc((width * 0.05, y, width * 0.4, y + height * 0.3), 200, 320, fill="#8fb4c2", width=3)
    draw.line((width * 0.04, height * 0.71, width * 0.2, height * 0.71), fill=INK, width=8)
    draw.polygon(
        [(width * 0.22, height * 0.71), (width * 0.19, height * 0.68), (width * 0.19, height * 0.74)], fill=INK
    )


def _tower(draw: Draw, width: int, height: int) -> None:
    """A lighthouse on its rock at dusk."""
    draw.rectangle((0, 0, width, height), fill="#314a5c")
    draw.rectangle((0, height * 0.7, width, height), fill="#1d3440")
    draw.polygon(
        [
            (width * 0.34, height * 0.78),
            (width * 0.42, height * 0.66),
            (width * 0.62, height * 0.66),
            (width * 0.7, height * 0.78),
        ],
        fill="#5b5146",
    )
    draw.polygon(
        [
            (width * 0.48, height * 0.2),
            (width * 0.56, height * 0.2),
            (width * 0.585, height * 0.67),
            (width * 0.455, height * 0.67),
        ],
        fill=FOAM,
    )
    for band in (0.3, 0.46):
        draw.rectangle((width * 0.466, height * band, width * 0.575, height * (band + 0.07)), fill=RED)
    draw.polygon([(width * 0.52, height * 0.15), (width, 0), (width, height * 0.34)], fill="#7d7a4c")
    draw.rectangle((width * 0.49, height * 0.11, width * 0.55, height * 0.2), fill=LAMP, outline=INK, width=4)
    draw.polygon(
        [(width * 0.48, height * 0.11), (width * 0.56, height * 0.11), (width * 0.52, height * 0.05)], fill=RED
    )


def _rope(draw: Draw, path: list[tuple[float, float]], width: int, height: int) -> None:
    points = [(x * width, y * height) for x, y in path]
    draw.line(points, fill=INK, width=92, joint="curve")
    draw.line(points, fill="#c9a668", width=72, joint="curve")


def _loop(draw: Draw, width: int, height: int) -> None:
    """A rope with a fixed loop and its small eye."""
    draw.rectangle((0, 0, width, height), fill=FOAM)
    _rope(
        draw,
        [(0.5, 0.0), (0.5, 0.36), (0.32, 0.5), (0.3, 0.8), (0.5, 0.95), (0.7, 0.8), (0.68, 0.5), (0.4, 0.3)],
        width,
        height,
    )
    draw.ellipse((width * 0.4, height * 0.2, width * 0.62, height * 0.46), outline=INK, width=92)
    draw.ellipse((width * 0.407, height * 0.213, width * 0.613, height * 0.447), outline="#c9a668", width=70)


def _hitch(draw: Draw, width: int, height: int) -> None:
    """Two turns around a post, crossing each other."""
    draw.rectangle((0, 0, width, height), fill=FOAM)
    draw.rectangle((width * 0.42, 0, width * 0.58, height), fill="#7b6a54", outline=INK, width=8)
    _rope(draw, [(0.1, 0.3), (0.62, 0.36)], width, height)
    _rope(draw, [(0.38, 0.66), (0.62, 0.42)], width, height)
    _rope(draw, [(0.38, 0.6), (0.92, 0.68)], width, height)


def _eight(draw: Draw, width: int, height: int) -> None:
    """A rope that crosses itself like the figure 8."""
    draw.rectangle((0, 0, width, height), fill=FOAM)
    _rope(
        draw,
        [
            (0.05, 0.5),
            (0.35, 0.3),
            (0.5, 0.5),
            (0.66, 0.7),
            (0.82, 0.5),
            (0.66, 0.3),
            (0.5, 0.5),
            (0.35, 0.7),
            (0.2, 0.5),
            (0.3, 0.36),
            (0.95, 0.34),
        ],
        width,
        height,
    )


def _reef(draw: Draw, width: int, height: int) -> None:
    """Two loops that hold each other."""
    draw.rectangle((0, 0, width, height), fill=FOAM)
    _rope(draw, [(0.02, 0.4), (0.55, 0.36), (0.64, 0.5), (0.55, 0.64), (0.02, 0.6)], width, height)
    _rope(draw, [(0.98, 0.3), (0.45, 0.44), (0.38, 0.5), (0.45, 0.56), (0.98, 0.7)], width, height)


OPTION_DRAWINGS = {
    "Which of these is the knot": {
        "Bowline": (_loop, "A rope with a fixed loop that passes through a small eye"),
        "Clove hitch": (_hitch, "A rope with two turns around a post, crossing each other"),
        "Figure of eight": (_eight, "A rope that crosses itself like the figure eight"),
        "Reef knot": (_reef, "Two bent ropes that hold each other"),
    }
}
COVERS = {
    "A night passage to the Gullmark light": (_tower, "A white and red lighthouse on a rock at dusk"),
}
SPOKEN = {"Write the helmsman": ToSpeak(text="à tribord toute", voice="fr", speed=120)}

DRAWINGS: dict[str, tuple[Callable[[Draw, int, int], None], str]] = {
    "A light shows two white": (
        _rhythm,
        "A line of ten seconds: light in the first and in the third second, dark for the rest.",
    ),
    "You come in from the sea": (
        _marks,
        "A channel seen from the sea: a can-shaped mark on the left, a cone-shaped mark on the right.",
    ),
    "You come from the west": (
        _chart,
        "A chart of a harbour's mouth: land in the east with a lighthouse, a shoal before it, a red mark above a green "
        "one in the west, and an arrow that comes from the left.",
    ),
    "What comes out of the fog": (
        _tower,
        "A white and red lighthouse on a rock at dusk, its light shining to the right.",
    ),
    "The isobars on a map": (
        _isobars,
        "A weather map with a low: the rings around it crowd together on its right-hand side.",
    ),
}


def with_media(owner: Teacher, content: SetContent) -> SetContent:
    """The set with its drawings and what is spoken in it, stored as uploads are."""
    items = tuple(_with_media(owner, item) for item in content.items)
    about = content.about
    if content.title in COVERS:
        about = about.model_copy(update={"cover": _stored(owner, *COVERS[content.title])})
    return content.model_copy(update={"items": items, "about": about})


def _with_media(owner: Teacher, item: Item) -> Item:
    found: dict[str, object] = {}
    for start, (drawing, description) in DRAWINGS.items():
        if item.prompt.startswith(start):
            found["picture"] = _stored(owner, drawing, description)
    for start, options in OPTION_DRAWINGS.items():
        if item.prompt.startswith(start) and isinstance(item, ChoiceItem):
            drawn = [o.model_copy(update={"text": "", "media": _stored(owner, *options[o.text])}) for o in item.options]
            found["options"] = tuple(drawn)
    for start, spoken in SPOKEN.items():
        if item.prompt.startswith(start):
            found["sound"] = store_speech(owner, spoken)
    return item.model_copy(update=found)


def _stored(owner: Teacher, drawing: Callable[[Draw, int, int], None], description: str) -> Picture:
    picture = store_picture(owner, _png(drawing), name=description[:60])
    return picture.model_copy(update={"description": description})


def _png(drawing: Callable[[Draw, int, int], None]) -> bytes:
    """Drawn at twice the size and made smaller, so that edges are smooth."""
    width, height = SIZE[0] * SCALE, SIZE[1] * SCALE
    image = Image.new("RGB", (width, height))
    drawing(ImageDraw.Draw(image), width, height)
    out = BytesIO()
    image.resize(SIZE, Image.Resampling.LANCZOS).save(out, "PNG")
    return out.getvalue()
