"""What a student needs. It is kept with the member, and told to nobody but that class's teachers and the student's own
device."""

from typing import Annotated, Literal

from pydantic import Field

from lantern.core.languages import Language
from lantern.core.values import Value

TextSize = Literal["normal", "large", "largest"]


class Needs(Value):
    """`time`: so many times the time that others have; `no_limit`: no limit at all. `fewer_options`: so many wrong
    options less. `language` is that of the interface; empty: the device's."""

    time: Annotated[float, Field(ge=1, le=3)] = 1.0
    no_limit: bool = False
    text: TextSize = "normal"
    read_aloud: bool = False
    fewer_options: Annotated[int, Field(ge=0, le=2)] = 0
    no_fog: bool = False
    no_motion: bool = False
    high_contrast: bool = False
    language: Language | Literal[""] = ""

    @property
    def more_time(self) -> bool:
        return self.no_limit or self.time > 1


NONE = Needs()


def needs_from(stored: object) -> Needs:
    """As they were stored; what is no need any more is left aside."""
    known = stored if isinstance(stored, dict) else {}
    return Needs.model_validate({name: value for name, value in known.items() if name in Needs.model_fields})
