"""One QTI item being read: its declarations, and the files it takes along."""

from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass, field
from typing import Any

from lantern.core.formats.qti.declarations import Declaration
from lantern.core.formats.qti.nodes import Node
from lantern.core.messages import Explained, Message, said
from lantern.core.questions.companions import NewId

Fields = dict[str, Any]
KeepFile = Callable[[str], str | None]
"""Takes a file of the package along; returns the key by which an item names it."""
SizeOf = Callable[[str], tuple[int, int] | None]
"""The width and height, in pixels, of a picture that was taken along."""
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
    size_of: SizeOf
    language: str = ""
    sentences: list[Message] = field(default_factory=list)

    def declared(self, interaction: Node) -> Declaration:
        return self.declarations.get(interaction["response-identifier"], Declaration())

    def tell_of_points(self, declared: Declaration, texts: Mapping[str, str]) -> None:
        """Says which points our models cannot say. `texts` are what identifiers stand for."""
        for value, share in declared.in_part().items():
            part = "“{answer}” earns {share} % of the points there. Here it is not right."
            self.sentences.append(
                said("earns_in_part", part, answer=texts.get(value, value)[:80], share=round(share * 100))
            )
        if declared.lost():
            points = ", ".join(f"{number:g}" for number in declared.lost())
            costs = (
                "What is wrong costs points there ({points}). Here it costs as much as something right earns, and "
                "never more than all."
            )
            self.sentences.append(said("wrong_costs", costs, points=points))
        if declared.unequal():
            unequal = "What is right earns different points there; here each earns the same."
            self.sentences.append(said("unequal_points", unequal))

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
        key = self.keep(node.based(place)) if place else None
        if key is None:
            missing = "The file {name} is not in the package."
            self.sentences.append(said("file_not_in_package", missing, name=place[:80] or MEDIA[kind]))
            return None
        size = {side: max(1, min(20000, int(node.number(side) or 1))) for side in ("width", "height")}
        fields: Fields = {"type": kind, "media": key}
        if kind == "picture":
            own = self.size_of(key) if size == {"width": 1, "height": 1} else None
            size = {"width": own[0], "height": own[1]} if own else size
            return fields | size | {"description": (node["alt"] or node["label"] or node.text)[:500]}
        if kind == "sound":
            return fields | {"seconds": 0}
        track = next((one["src"] for one in node.all("track") if one["src"]), "")
        return fields | {"captions": self.keep(node.based(track)) if track else None}
