"""The two versions. Inside, names are those of 3.0 without their prefix: "choice-interaction", "max-choices"."""

import re
from dataclasses import dataclass

_HUMP = re.compile(r"(?<=[a-z0-9])([A-Z])")
_HTML = frozenset(
    "p div span strong em b i code br ul ol li h1 h2 h3 h4 h5 h6 pre blockquote sub sup"
    " img audio video source track object table tr td th".split()
)


@dataclass(frozen=True, slots=True)
class Version:
    """`schema` and `number` are what a manifest says of itself."""

    schema: str
    number: str
    namespace: str
    manifest_namespace: str
    item_type: str
    test_type: str
    match_correct: str
    map_response: str
    map_response_point: str


QTI3 = Version(
    "QTI Package",
    "3.0.0",
    "http://www.imsglobal.org/xsd/imsqtiasi_v3p0",
    "http://www.imsglobal.org/xsd/qti/qtiv3p0/imscp_v1p1",
    "imsqti_item_xmlv3p0",
    "imsqti_test_xmlv3p0",
    "https://purl.imsglobal.org/spec/qti/v3p0/rptemplates/match_correct.xml",
    "https://purl.imsglobal.org/spec/qti/v3p0/rptemplates/map_response.xml",
    "https://purl.imsglobal.org/spec/qti/v3p0/rptemplates/map_response_point.xml",
)
QTI2 = Version(
    "QTIv2.1 Package",
    "1.0.0",
    "http://www.imsglobal.org/xsd/imsqti_v2p1",
    "http://www.imsglobal.org/xsd/imscp_v1p1",
    "imsqti_item_xmlv2p1",
    "imsqti_test_xmlv2p1",
    "http://www.imsglobal.org/question/qti_v2p1/rptemplates/match_correct",
    "http://www.imsglobal.org/question/qti_v2p1/rptemplates/map_response",
    "http://www.imsglobal.org/question/qti_v2p1/rptemplates/map_response_point",
)


def plain_name(name: str) -> str:
    """ "{…}qti-choice-interaction" and "choiceInteraction" alike become "choice-interaction"."""
    local = name.rpartition("}")[2]
    return _HUMP.sub(lambda hump: f"-{hump[1].lower()}", local).lower().removeprefix("qti-")


def element_name(name: str, version: Version) -> str:
    if name in _HTML:
        return name
    return f"qti-{name}" if version is QTI3 else _camel(name)


def attribute_name(name: str, version: Version) -> str:
    return name if version is QTI3 or name.startswith(("xml:", "data-", "{")) else _camel(name)


def _camel(name: str) -> str:
    first, *rest = name.split("-")
    return first + "".join(part.capitalize() for part in rest)
