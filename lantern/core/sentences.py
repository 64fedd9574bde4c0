"""What is wrong with a value, in words for people: the checking library's own words are for programmers."""

from collections.abc import Mapping, Sequence
from typing import Any

from lantern.core.messages import Message, said

SENTENCES = {
    "missing": "Something is missing here.",
    "extra_forbidden": "Nothing of this name is known here.",
    "string_too_long": "This is too long: {max_length} characters at most.",
    "string_too_short": "This is too short: at least {min_length} characters.",
    "string_type": "A text belongs here.",
    "string_pattern_mismatch": "This holds signs that cannot stand here.",
    "int_type": "A whole number belongs here.",
    "int_parsing": "A whole number belongs here.",
    "int_from_float": "A whole number belongs here.",
    "float_type": "A number belongs here.",
    "float_parsing": "A number belongs here.",
    "finite_number": "A number belongs here.",
    "bool_type": "Yes or no (true or false) belongs here.",
    "bool_parsing": "Yes or no (true or false) belongs here.",
    "greater_than_equal": "This is too small: {ge} at least.",
    "greater_than": "This is too small: more than {gt}.",
    "less_than_equal": "This is too large: {le} at most.",
    "less_than": "This is too large: less than {lt}.",
    "too_long": "These are too many: {max_length} at most.",
    "too_short": "These are too few: {min_length} at least.",
    "literal_error": "This is not one of the choices: {expected}.",
    "enum": "This is not one of the choices: {expected}.",
    "union_tag_invalid": "No kind of this name is known here.",
    "union_tag_not_found": "It does not say of what kind it is.",
    "tuple_type": "A list belongs here.",
    "list_type": "A list belongs here.",
    "dict_type": "Several named values belong here.",
    "model_type": "Several named values belong here.",
    "model_attributes_type": "Several named values belong here.",
    "json_invalid": "This could not be read.",
    "not_a_number": "Not a number.",
    "number_out_of_bounds": "Too large or too small.",
}
OTHERWISE = "This does not fit here."


def listed(words: Sequence[str]) -> str:
    """Words as a sentence lists them: "a", "a and b", "a, b and c"."""
    return " and ".join(part for part in (", ".join(words[:-1]), *words[-1:]) if part)


def message_of(problem: Mapping[str, Any]) -> Message:
    """`problem` is one entry of `ValidationError.errors()`. The code is the library's, behind `value_`."""
    code = str(problem.get("type"))
    params = {
        name: value if isinstance(value, int) else str(value) for name, value in (problem.get("ctx") or {}).items()
    }
    try:
        return said(f"value_{code}", SENTENCES[code], **params)
    except KeyError:
        return said("value_does_not_fit", OTHERWISE)
