"""What a pasted text is cut into."""

from dataclasses import dataclass, field

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.below import belongs
from lantern.core.formats.pasted.exercises import Exercise
from lantern.core.formats.pasted.source import Line


@dataclass
class Block:
    """The lines of one question, or of prose. `number` is its own number in the text, if it has one, `section` the
    part of the text in which numbers are counted. An exercise is read as a whole."""

    lines: list[Line] = field(default_factory=list)
    number: int | None = None
    section: str = ""
    exercise: Exercise | None = None
    # Lines are only ever added, often thousands, and each is looked at once.
    _filled: list[Line] = field(default_factory=list, init=False, repr=False, compare=False)
    _counted: int = field(default=0, init=False, repr=False, compare=False)
    _answered: bool = field(default=False, init=False, repr=False, compare=False)
    _looked_at: int = field(default=1, init=False, repr=False, compare=False)

    @property
    def at(self) -> int:
        return next((line.at for line in self.lines if not line.is_blank), self.lines[0].at if self.lines else 1)

    @property
    def text(self) -> str:
        return "\n".join(line.text for line in self.lines).strip("\n")

    @property
    def source(self) -> str:
        return "\n".join(line.source for line in self.lines).strip("\n")

    @property
    def texts(self) -> list[str]:
        return [line.text for line in self.filled]

    @property
    def filled(self) -> list[Line]:
        """The lines that say something."""
        if self._counted < len(self.lines):
            self._filled += [line for line in self.lines[self._counted :] if not line.is_blank]
            self._counted = len(self.lines)
        return self._filled

    @property
    def is_done(self) -> bool:
        """Whether it has its options or its answer, so that what follows a blank line is a new one."""
        filled = self.filled
        if not self._answered:
            self._answered = any(belongs(line) for line in filled[self._looked_at :])
            self._looked_at = max(1, len(filled))
        return self.exercise is not None or self._answered or bool(filled and line_of.options_in_one_line(filled[0]))
