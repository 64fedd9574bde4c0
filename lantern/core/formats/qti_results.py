"""QTI Results Reporting, version 3.0 (1EdTech): an assessment result for each candidate, as a zip of XML files.
docs/formats.md says what stands where."""

from datetime import UTC, datetime
from io import BytesIO
from zipfile import ZIP_DEFLATED, ZipFile

import lxml.etree as etree

from lantern.core.formats.records import PersonRecords, Record, SessionRecords
from lantern.core.questions.qti import Element
from lantern.core.values import Milliseconds

NAMESPACE = "http://www.imsglobal.org/xsd/imsqti_result_v3p0"


def write_qti_results(session: SessionRecords) -> bytes:
    buffer = BytesIO()
    with ZipFile(buffer, "w", ZIP_DEFLATED) as archive:
        for number, person in enumerate(session.people, start=1):
            archive.writestr(f"{number:04}.xml", _result(session, person))
    return buffer.getvalue()


def _result(session: SessionRecords, person: PersonRecords) -> bytes:
    root = etree.Element(_named("assessmentResult"), nsmap={None: NAMESPACE})
    context = _made(root, "context", sourcedId=person.id)
    _made(context, "sessionIdentifier", sourceID="tall-lantern", identifier=session.id)
    whole = _made(root, "testResult", identifier=session.id, datestamp=_moment(session.at))
    _outcome(whole, "SCORE", person.score, person.out_of)
    for record in person.records:
        _item(root, record)
    return bytes(etree.tostring(root, xml_declaration=True, encoding="UTF-8"))


def _item(root: Element, record: Record) -> None:
    item = _made(
        root,
        "itemResult",
        identifier=identifier(record.item),
        sequenceIndex=str(record.number),
        datestamp=_moment(record.at),
        sessionStatus="final",
    )
    given = record.given
    answer = _made(
        item, "responseVariable", identifier="RESPONSE", cardinality=given.cardinality, baseType=given.base_type
    )
    response = _made(answer, "candidateResponse")
    for value in given.values:
        _made(response, "value").text = _value(value, given.base_type)
    took = _made(item, "responseVariable", identifier="duration", cardinality="single", baseType="duration")
    _made(_made(took, "candidateResponse"), "value").text = f"{record.took / 1000:.3f}"
    if record.mark is not None:
        _outcome(item, "SCORE", record.mark, 1)


def _outcome(parent: Element, name: str, value: float, most: float) -> None:
    outcome = _made(
        parent,
        "outcomeVariable",
        identifier=name,
        cardinality="single",
        baseType="float",
        normalMinimum="0",
        normalMaximum=f"{most:g}",
    )
    _made(outcome, "value").text = repr(float(value))


def _value(value: str, base_type: str) -> str:
    if base_type in ("identifier", "directedPair"):
        return " ".join(identifier(one) for one in value.split(" "))
    return "".join(c for c in value if c in "\t\n" or c >= " ")


def identifier(text: str) -> str:
    """An id of ours as the standard's identifier, which begins with a letter or an underscore."""
    return text if text[:1].isalpha() or text[:1] == "_" else f"_{text}"


def _made(parent: Element, name: str, **attributes: str) -> Element:
    return etree.SubElement(parent, _named(name), attributes)


def _named(name: str) -> str:
    return f"{{{NAMESPACE}}}{name}"


def _moment(at: Milliseconds) -> str:
    return datetime.fromtimestamp(at / 1000, UTC).isoformat(timespec="milliseconds")
