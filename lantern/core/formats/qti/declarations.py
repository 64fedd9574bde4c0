"""What a QTI item declares of its responses, and what its processing takes for right."""

from dataclasses import dataclass, field

from lantern.core.formats.qti.nodes import Node, finite


@dataclass
class Declaration:
    """What is declared of one response: the correct values, points by value, areas of a picture."""

    base_type: str = "identifier"
    cardinality: str = "single"
    correct: list[str] = field(default_factory=list)
    points: dict[str, float] = field(default_factory=dict)
    areas: list[Node] = field(default_factory=list)
    has_mapping: bool = False
    case_sensitive: bool = False

    def right(self) -> list[str]:
        if self.correct and self.cardinality != "single":
            return self.correct
        positive = [value for value, points in self.points.items() if points > 0]
        return [*self.correct, *(value for value in positive if value not in self.correct)]


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
