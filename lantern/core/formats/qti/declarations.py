"""What a QTI item declares of its responses, and what its processing takes for right."""

from dataclasses import dataclass, field

from lantern.core.formats.qti.nodes import Node, finite


@dataclass
class Declaration:
    """What is declared of one response: the correct values, points by value and for all others, areas of a picture."""

    base_type: str = "identifier"
    cardinality: str = "single"
    correct: list[str] = field(default_factory=list)
    points: dict[str, float] = field(default_factory=dict)
    areas: list[Node] = field(default_factory=list)
    has_mapping: bool = False
    otherwise: float = 0.0
    case_sensitive: bool = False

    def right(self) -> list[str]:
        """What is right in full: where one answer is given, what earns as much as the best."""
        if self.correct and self.cardinality != "single":
            return self.correct
        best = max(self.points.values(), default=0.0)
        positive = [value for value, points in self.points.items() if points > 0]
        if self.cardinality == "single":
            positive = [value for value in positive if self.points[value] >= best]
        return [*self.correct, *(value for value in positive if value not in self.correct)]

    def in_part(self) -> dict[str, float]:
        """Answers that earn something, but not all; as shares of the best."""
        best = max(self.points.values(), default=0.0)
        right = self.right()
        return {value: points / best for value, points in self.points.items() if points > 0 and value not in right}

    def unequal(self) -> bool:
        """Whether right answers that are given together earn different points."""
        earned = {points for value, points in self.points.items() if points > 0}
        return self.cardinality != "single" and len(earned) > 1

    def lost(self) -> list[float]:
        """Points that a wrong answer costs."""
        return sorted({points for points in (*self.points.values(), self.otherwise) if points < 0})


def declarations_of(root: Node) -> dict[str, Declaration]:
    found = {}
    for node in root.all("response-declaration"):
        inside = [child for child in node.children if child.name == "correct-response"]
        entries = node.all("map-entry")
        found[node["identifier"]] = Declaration(
            base_type=node["base-type"].lower().replace("-", "") or "identifier",
            cardinality=node["cardinality"] or "single",
            correct=[value.text for one in inside for value in one.all("value")],
            points={entry["map-key"]: entry.number("mapped-value") or 0.0 for entry in entries},
            areas=node.all("area-map-entry"),
            has_mapping=bool(entries),
            otherwise=next((one.number("default-value") or 0.0 for one in node.all("mapping")), 0.0),
            # Only where it is said: a missing attribute means "true", but is mostly left out without a thought.
            case_sensitive=bool(entries) and all(entry["case-sensitive"] in {"true", "1"} for entry in entries),
        )
    for name, values in _compared_with(root).items():
        if name in found and not found[name].correct and not found[name].points:
            found[name].correct = values
    return found


def _compared_with(root: Node) -> dict[str, list[str]]:
    """Response identifier to the values that explicit processing takes for right."""
    found: dict[str, list[str]] = {}
    for branch in root.all("response-if", "response-else-if"):
        scores = [node for node in branch.children if node.name == "set-outcome-value"]
        if not any(
            (value.text or "0").strip() not in {"0", "0.0", "false"}
            for one in scores
            for value in one.all("base-value")
        ):
            continue
        for test in branch.all("match", "string-match", "equal", "member"):
            variables, values = test.all("variable"), test.all("base-value")
            if variables and values:
                found.setdefault(variables[0]["identifier"], []).extend(value.text for value in values)
    return found


def bounds(root: Node, response: str) -> tuple[float | None, float | None]:
    """The lowest and highest value that explicit processing takes for right."""
    found: dict[str, float] = {}
    for test in root.all("gte", "gt", "lte", "lt"):
        variable, value = test.first("variable"), test.first("base-value")
        number = finite(value.text) if value else None
        if variable and number is not None and variable["identifier"] == response:
            found[test.name[:2]] = number
    return found.get("gt"), found.get("lt")


def wants_all(root: Node) -> bool:
    """Whether explicit processing gives a score only where several responses are right together."""
    together = [both for branch in root.all("response-if") for both in branch.all("and")]
    asked = ({one["identifier"] for one in both.all("variable", "map-response")} for both in together)
    return any(len(names) > 1 for names in asked)


def points_of(root: Node) -> float | None:
    """What the item is worth in full, where it says so: its highest score, or what its processing sets for what is
    right."""
    score = next((one for one in root.all("outcome-declaration") if one["identifier"] == "SCORE"), None)
    most = score.number("normal-maximum") if score else None
    said = next((one for one in root.all("outcome-declaration") if one["identifier"] == "MAXSCORE"), None)
    default = said.first("value") if said else None
    if most or default:
        return most or finite(default.text if default else "")
    earned = [
        number
        for one in root.all("set-outcome-value")
        if one["identifier"] == "SCORE"
        for value in one.children
        if value.name == "base-value" and (number := finite(value.text)) is not None
    ]
    return max(earned, default=None)
