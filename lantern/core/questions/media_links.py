"""Pictures, sounds and videos as links and images of Markdown, in a set that is written as text.

    ![A chart of the bay](media:LH8Yq2?size=1200x800 "Drawn by Fen O.")
    [Ahoy!](media:Kp31xx?sound=2.5#t=0.5,2)
    [A boat comes alongside](media:Rr90ab?video&captions=Cc11de)

What stands in the brackets is for those who cannot see or hear it; a picture's title is its credit. What follows `#t=`
is a fragment of time, as Media Fragments URI 1.0 (W3C) has it. Of a picture the size is in pixels, of a sound the
length in seconds.
"""

import re
from typing import Any
from urllib.parse import parse_qsl

from lantern.core.questions.items import Film, Media, Picture, Recording

_LABEL = r"\[(?P<label>(?:[^\[\]\\\n]|\\.)*)\]"
_ADDRESS = (
    r"media:(?P<id>[^\s()?#\"]*)(?:\?(?P<facts>[^\s()#\"]*))?(?:#t=(?P<start>[^\s(),\"]*)(?:,(?P<end>[^\s(),\"]*))?)?"
)
_LINK = re.compile(rf'(?P<shown>!?){_LABEL}\({_ADDRESS}(?:\s+"(?P<credit>(?:[^"\\\n]|\\.)*)")?\s*\)')
_AT_END = re.compile(rf"(?:^|\s){_LINK.pattern}$")


def written(media: Media) -> str:
    """The link that `read` takes for this."""
    if isinstance(media, Picture):
        credit = f' "{_escaped(media.credit, chr(34))}"' if media.credit else ""
        return f"![{_escaped(media.description)}](media:{media.media}?size={media.width}x{media.height}{credit})"
    if isinstance(media, Recording):
        facts, label = f"sound={_number(media.seconds)}", media.transcript
    else:
        facts, label = f"video&captions={media.captions}" if media.captions else "video", media.description
    return f"[{_escaped(label)}](media:{media.media}?{facts}{_span(media)})"


def read(text: str) -> dict[str, Any] | None:
    """The fields of what a link names, to be checked by its model; None for what is no such link."""
    found = _LINK.fullmatch(text)
    return _fields(found) if found else None


def parted(text: str) -> tuple[str, dict[str, Any] | None]:
    """(the text before a link at its end, the fields of what the link names)."""
    found = _AT_END.search(text) if text.endswith(")") and "](media:" in text else None
    fields = _fields(found) if found else None
    return (text, None) if found is None or fields is None else (text[: found.start()].rstrip(), fields)


def _fields(found: "re.Match[str]") -> dict[str, Any] | None:
    facts = dict(parse_qsl(found["facts"] or "", keep_blank_values=True))
    about: dict[str, Any] = {"media": found["id"]}
    label = _plain(found["label"])
    if found["shown"]:
        width, _, height = facts.get("size", "").partition("x")
        size = {"width": width, "height": height} if width and height else {}
        return about | size | {"type": "picture", "description": label, "credit": _plain(found["credit"] or "")}
    if not facts.keys() & {"sound", "video"} or found["credit"] is not None:
        return None
    about |= {name: found[name] for name in ("start", "end") if found[name]}
    if "sound" in facts:
        return about | {"type": "sound", "seconds": facts["sound"].removesuffix("s"), "transcript": label}
    captions = {"captions": facts["captions"]} if facts.get("captions") else {}
    return about | captions | {"type": "video", "description": label}


def _span(media: Recording | Film) -> str:
    if not media.start and media.end is None:
        return ""
    return f"#t={_number(media.start)}" + ("" if media.end is None else f",{_number(media.end)}")


def _number(value: float) -> str:
    return repr(float(value)).removesuffix(".0")


def _escaped(text: str, *signs: str) -> str:
    for sign in ("\\", "[", "]", *signs):
        text = text.replace(sign, f"\\{sign}")
    return text.replace("\n", "\\n")


def _plain(text: str) -> str:
    return re.sub(r"\\(.)", lambda found: "\n" if found[1] == "n" else found[1], text)
