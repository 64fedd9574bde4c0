"""What is wrong with a value, in a sentence for people: the checking library's own words are for programmers."""

from collections.abc import Mapping, Sequence
from typing import Any

OWN = "Value error, "
"""How the library marks a sentence that is ours."""

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
}
OTHERWISE = "This does not fit here."


def listed(words: Sequence[str]) -> str:
    """Words as a sentence lists them: "a", "a and b", "a, b and c"."""
    return " and ".join(part for part in (", ".join(words[:-1]), *words[-1:]) if part)


def sentence_of(problem: Mapping[str, Any]) -> str:
    """`problem` is one entry of `ValidationError.errors()`."""
    message = str(problem.get("msg", ""))
    if message.startswith(OWN):
        return message.removeprefix(OWN)
    try:
        return SENTENCES.get(str(problem.get("type")), OTHERWISE).format(**problem.get("ctx") or {})
    except KeyError:
        return OTHERWISE
