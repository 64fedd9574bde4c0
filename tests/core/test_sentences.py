from typing import Annotated, Literal

import pytest
from pydantic import BaseModel, Field, ValidationError, field_validator
from pydantic_core import PydanticCustomError

from lantern.core.questions import read_item
from lantern.core.sentences import OTHERWISE, message_of


class Form(BaseModel, extra="forbid"):
    name: Annotated[str, Field(max_length=5, min_length=2)] = "Fen"
    age: Annotated[int, Field(ge=5, le=20)] = 9
    place: Literal["here", "there"] = "here"
    marks: Annotated[tuple[float, ...], Field(max_length=2)] = ()
    wanted: bool = True

    @field_validator("name")
    @classmethod
    def known(cls, name: str) -> str:
        if name == "Nemo":
            raise PydanticCustomError("not_a_number", "Not a number.")
        return name


def said(**fields):
    with pytest.raises(ValidationError) as found:
        Form(**fields)
    return message_of(found.value.errors()[0]).sentence


@pytest.mark.parametrize(
    ("fields", "sentence"),
    [
        ({"name": "Fen Okoro"}, "This is too long: 5 characters at most."),
        ({"name": "F"}, "This is too short: at least 2 characters."),
        ({"name": 5}, "A text belongs here."),
        ({"name": "Nemo"}, "Not a number."),
        ({"age": "nine"}, "A whole number belongs here."),
        ({"age": 3}, "This is too small: 5 at least."),
        ({"age": 30}, "This is too large: 20 at most."),
        ({"place": "nowhere"}, "This is not one of the choices: 'here' or 'there'."),
        ({"marks": (1, 2, 3)}, "These are too many: 2 at most."),
        ({"wanted": "perhaps"}, "Yes or no (true or false) belongs here."),
        ({"colour": "red"}, "Nothing of this name is known here."),
    ],
)
def test_what_is_wrong_is_said_in_a_sentence(fields, sentence):
    assert said(**fields) == sentence


BODIES = [
    {},
    5,
    {"kind": "nonsense"},
    {"kind": "choice"},
    {"kind": "choice", "id": "q 1"},
    {"kind": "choice", "id": "q", "options": 5},
    {"kind": "choice", "id": "q", "time_limit": 1e9, "weight": 7, "form": "many"},
]


@pytest.mark.parametrize("body", BODIES, ids=str)
def test_no_sentence_about_an_item_is_the_librarys_own(body):
    with pytest.raises(ValidationError) as found:
        read_item.validate_python(body)
    for problem in found.value.errors():
        sentence = message_of(problem).sentence
        assert sentence.endswith(".")
        assert sentence != problem["msg"]
        assert "nput should" not in sentence


def test_what_nobody_thought_of_is_still_a_sentence():
    assert message_of({"type": "date_from_datetime_inexact", "msg": "Datetimes provided…"}).sentence == OTHERWISE
    assert message_of({"type": "string_too_long", "msg": "…", "ctx": {}}).sentence == OTHERWISE
