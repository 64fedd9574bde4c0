"""One QTI item being read: its declarations, and the files it takes along."""

from collections.abc import Callable, Sequence
from dataclasses import dataclass, field
from typing import Any

from lantern.core.formats.qti.declarations import Declaration
from lantern.core.formats.qti.nodes import Node
from lantern.core.messages import Explained, Message, said
from lantern.core.questions.companions import NewId

Fields = dict[str, Any]
KeepFile = Callable[[str], str | None]
"""Takes a file of the package along; returns the key by which an item names it."""
PASSED_OVER = frozenset(
    {"prompt", "object", "audio", "video", "img", "picture", "rubric-block", "feedback-inline", "feedback-block"}
)


MEDIA = {"picture": said("picture", "Picture"), "sound": said("sound", "Sound"), "video": said("video", "Video")}


class NotSaid(Explained):
    """Why an item was not understood."""


@dataclass
class Reading:
    """One assessment item being read."""

    root: Node
    declarations: dict[str, Declaration]
    new_id: NewId
    keep: KeepFile
    sentences: list[Message] = field(default_factory=list)

    def declared(self, interaction: Node) -> Declaration:
        return self.declarations.get(interaction["response-identifier"], Declaration())

    def media(self, inside: Sequence[Node]) -> Fields:
        """The first picture, sound and video among these elements; a word about more of them."""
        found: Fields = {}
        for node in inside:
            medium = self.medium(node)
            if medium is None:
                continue
            if medium["type"] in found:
                more = "It has more than one of this kind: {medium}. The first is taken along."
                self.sentences.append(said("more_media", more, medium=MEDIA[medium["type"]]))
            else:
                found[medium["type"]] = medium
        return found

    def medium(self, node: Node) -> Fields | None:
        if node.name == "img":
            return self._file("picture", node, node["src"])
        if node.name in {"audio", "video"}:
            source = node["src"] or next((one["src"] for one in node.all("source")), "")
            return self._file("sound" if node.name == "audio" else "video", node, source)
        if node.name == "object":
            kind = {"image": "picture", "audio": "sound", "video": "video"}.get(node["type"].split("/")[0])
            return self._file(kind, node, node["data"]) if kind else None
        return None

    def _file(self, kind: str, node: Node, place: str) -> Fields | None:
        key = self.keep(place) if place else None
        if key is None:
            missing = "The file {name} is not in the package."
            self.sentences.append(said("file_not_in_package", missing, name=place[:80] or MEDIA[kind]))
            return None
        size = {side: max(1, min(20000, int(node.number(side) or 1))) for side in ("width", "height")}
        fields: Fields = {"type": kind, "media": key}
        if kind == "picture":
            return fields | size | {"description": (node["alt"] or node["label"] or node.text)[:500]}
        if kind == "sound":
            return fields | {"seconds": 0}
        track = next((one["src"] for one in node.all("track") if one["src"]), "")
        return fields | {"captions": self.keep(track) if track else None}
