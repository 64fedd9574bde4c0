"""Stored shapes through their versions: what was written by an older Tall Lantern is read by a newer one.

1. Whatever is stored as JSON has the version of its shape beside it, from 1.
2. A step brings one version to the next. It is pure, and never changed once data was written by it.
3. Of every version a sample is kept, and read, by a test (tests/samples/shapes).
"""

from collections.abc import Callable
from dataclasses import dataclass
from typing import Any

Json = dict[str, Any]
Step = Callable[[Json], Json]


@dataclass(frozen=True, slots=True)
class Shape:
    """`steps[0]` brings version 1 to version 2, and so on."""

    steps: tuple[Step, ...] = ()

    @property
    def latest(self) -> int:
        return len(self.steps) + 1

    def upgrade(self, version: int, stored: Json, to: int | None = None) -> Json:
        """What was stored at `version`, as the latest version (or `to`) has it."""
        for step in self.steps[version - 1 : (to or self.latest) - 1]:
            stored = step(stored)
        return stored
