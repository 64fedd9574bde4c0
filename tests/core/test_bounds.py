"""Files beyond their bounds, and files that are not what they are called: what is said of them."""

import io
import struct
import sys
import zipfile
from itertools import count

import pytest
from openpyxl import Workbook

from lantern.core.formats import safezip
from lantern.core.formats.exchange import Source, Unreadable
from lantern.core.formats.registry import READERS, form_of, read_file, read_typed
from lantern.core.formats.safezip import MB, SafeZip
from lantern.core.questions import KINDS
from tests.builders import a_set, choice

MANIFEST = (
    '<manifest xmlns="http://www.imsglobal.org/xsd/imscp_v1p1"><resources>'
    '<resource type="imsqti_item_xmlv2p1" href="a.xml"/></resources></manifest>'
)
OLD = b"\xd0\xcf\x11\xe0\xa1\xb1\x1a\xe1" + bytes(600)
SAMPLES = [sample.item for kind in KINDS for sample in kind.samples()]


def ids():
    numbers = count(1)
    return lambda: f"new{next(numbers)}"


def packed(members, method=zipfile.ZIP_DEFLATED):
    out = io.BytesIO()
    with zipfile.ZipFile(out, "w", method) as archive:
        for name, data in members.items():
            archive.writestr(name, data)
    return out.getvalue()


def written(name):
    (form,) = (one for one in READERS if one.name == name)
    return form.write(a_set(choice("B")), lambda media: None)


def refusal(name, data):
    with pytest.raises(Unreadable) as refused:
        read_file(Source(name, data), ids())
    return str(refused.value.message)


class Watched(io.BytesIO):
    """A file that knows how much was read of it."""

    taken = 0

    def read(self, size=-1):
        found = super().read(size)
        self.taken += len(found)
        return found


def test_a_member_beyond_its_bound_is_refused_with_its_size_before_it_is_unpacked():
    data = packed({"imsmanifest.xml": MANIFEST, "a.xml": b"<a>" + b"0" * (20 * MB)})
    file = Watched(data)
    incoming = read_file(Source("set.zip", file), ids())
    assert [str(note) for note in incoming.notes] == [
        "“a.xml” in this file unpacks to 21 MB; 12 MB at most can be read."
    ]
    assert file.taken < len(data) * 6  # the list of members, a few times over


def test_a_member_that_declares_less_than_it_holds_is_read_no_further():
    data = bytearray(packed({"a.xml": b"0" * 5000}))
    for place in (data.find(b"PK\x03\x04") + 22, data.find(b"PK\x01\x02") + 24):
        data[place : place + 4] = struct.pack("<I", 100)
    assert SafeZip(bytes(data)).read("a.xml") is None


def test_all_documents_together_have_a_budget(monkeypatch):
    monkeypatch.setattr(safezip, "MOST_DOCUMENTS", 3 * MB)
    archive = SafeZip(packed({f"{n}.xml": b"0" * MB for n in range(5)}))
    assert [len(archive.read(f"{n}.xml")) for n in range(3)] == [MB] * 3
    with pytest.raises(Unreadable, match="more than 3 MB"):
        archive.read("3.xml")


def test_media_are_not_unpacked_before_they_are_wanted():
    data = packed({"m.png": b"0" * (30 * MB)}, zipfile.ZIP_STORED)
    file = Watched(data)
    medium = SafeZip(file).packed("m.png")
    assert (medium.size, file.taken < MB) == (30 * MB, True)
    assert len(medium.data) == 30 * MB


def test_a_list_of_members_without_end_is_not_read():
    data = packed({f"{number:04d}": b"" for number in range(safezip.MOST_FILES + 1)})
    assert "more files in this archive" in refusal("set.zip", data)
    end = data.rfind(b"PK\x05\x06")
    longer = data[: end + 12] + struct.pack("<I", 0x7FFFFFFF) + data[end + 16 :]
    assert "archive" in refusal("set.zip", longer)


@pytest.mark.parametrize("method", [zipfile.ZIP_BZIP2, zipfile.ZIP_LZMA])
def test_what_is_packed_in_whole_blocks_is_not_unpacked(method):
    archive = SafeZip(packed({"imsmanifest.xml": MANIFEST}, method))
    assert archive.read("imsmanifest.xml") is None
    with pytest.raises(Unreadable):
        archive.check("imsmanifest.xml", MB)


@pytest.mark.parametrize(
    ("name", "data", "part"),
    [
        ("quiz.docx", OLD + "EncryptedPackage".encode("utf-16-le"), "protected by a password"),
        ("quiz.xlsx", OLD + "EncryptedPackage".encode("utf-16-le"), "protected by a password"),
        ("quiz.doc", OLD + "WordDocument".encode("utf-16-le"), "save it as .docx"),
        ("quiz.ppt", OLD + "PowerPoint Document".encode("utf-16-le"), "save it as .pptx"),
        ("quiz.docx", OLD + "WordDocument".encode("utf-16-le"), "save it as .docx"),
        ("quiz.docx", b"\x89PNG\r\n\x1a\n" + bytes(40), "really of the kind .png"),
        ("quiz.csv", b"\x89PNG\r\n\x1a\n" + bytes(40), "really of the kind .png"),
        ("quiz.txt", b"{\\rtf1 Which knot?}", "really of the kind .rtf"),
        ("quiz.zip", packed({"a.txt": "Which knot?"}), "Files of this kind cannot be read"),
        ("quiz.txt", b"Which knot?\n" * 400_000, "This file is 5 MB large; 4 MB at most"),
        ("quiz.json", b" [" + b"1," * 4_500_000, "This file is 9 MB large; 8 MB at most"),
        ("quiz.txt", b"  \n", "This file is empty."),
    ],
)
def test_a_refusal_names_its_cause(name, data, part):
    assert part in refusal(name, data)


def test_an_archive_with_a_password_says_so():
    data = bytearray(packed({"imsmanifest.xml": MANIFEST}))
    for mark, at in ((b"PK\x03\x04", 6), (b"PK\x01\x02", 8)):
        data[data.find(mark) + at] |= 1
    assert "protected by a password" in refusal("set.zip", bytes(data))


@pytest.mark.parametrize(
    ("called", "really"),
    [
        ("quiz.csv", "xlsx"),
        ("quiz.xls", "xlsx"),
        ("quiz.docx", "ods"),
        ("quiz.xlsx", "ods"),
        ("quiz.md", "archive"),
        ("quiz.pdf", "xlsx"),
        ("quiz.docx", "qti3"),
    ],
)
def test_a_file_is_read_as_what_it_is_and_that_is_told(called, really):
    incoming = read_file(Source(called, written(really)), ids())
    assert len(incoming.entries) == 1
    (note,) = incoming.notes
    assert f"“.{called.split('.')[1]}”" in str(note)


def test_a_page_that_is_called_a_spreadsheet_is_read_as_a_page():
    page = b"<html><body><table><tr><td>Question</td><td>Answer</td></tr><tr><td>Which side?</td><td>port</td></tr>"
    incoming = read_file(Source("export.xls", page), ids())
    assert [entry.item.accepts for entry in incoming.entries if entry.item] == [("port",)]
    assert "Page (html)" in str(incoming.notes[0])


@pytest.mark.parametrize("start", ["BMW is a name. Which knot?", "ID3 is what?", "GIF89a, is that a knot?", "%!PS?"])
def test_words_that_other_files_begin_with_may_begin_a_text(start):
    assert form_of(Source("quiz.txt", f"{start}\na) Reef\nb) Bend *".encode()))[0].name == "pasted"


@pytest.mark.parametrize("form", [one for one in READERS if one.writes], ids=lambda form: form.name)
def test_every_written_form_is_known_by_its_name_and_by_what_is_in_it(form):
    data = form.write(a_set(*SAMPLES), lambda media: None)
    named, note = form_of(Source(f"set{form.suffix}", data))
    assert (named.name.rstrip("23"), note) == (form.name.rstrip("23"), None)
    if form.is_packed:
        assert form_of(Source("set", data))[0].name.rstrip("23") == form.name.rstrip("23")


def test_more_signs_than_questions_have_are_not_taken_along():
    book = Workbook(write_only=True)
    sheet = book.create_sheet()
    sheet.append(["Question", "Answer"])
    long = "knots and bends " * 700
    for number in range(700):
        sheet.append([f"{number} {long}", "port"])
    out = io.BytesIO()
    book.save(out)
    incoming = read_file(Source("a.xlsx", out.getvalue()), ids())
    assert len(incoming.entries) < 700
    assert any("Only the first" in str(note) for note in incoming.notes)


GROWING = (
    "Put the events in order.\n", "Put the events in order.\n1. a\n2. b\n", "A. Ordering\n\n", "Which?\n\nfoot\n\n",
    "1. bow\n2. mast\n3. keel\nA. a\nB. b\nC. c\n\n", "1-A, 2-B, 3-C\n", "Answer: b\n", "Answers: 1. b\n", "a\tb\n",
    "- Who? - x\n", "____ (a)\n", "a) x\n", "1. Seals swim. (R)\n", "On 3 May 2025 Odile wrote:\n", "Part A\n",
    "Order them.\nAnswer: a → b\n→ c\n", "A. x\n\nAnswer:\n\n",
    "AB-1 Who?\n", "[2] Who is it?\n", "Bats are blind. 👎\nBats fly. 👍\n", "Question 1 (B)\nWho?\n",
    "bow +\nkeel -\noar -\n", "1. What is it? bow\n", "Who is it?\n\nnobody\n\n12\n\n",
)  # fmt: skip


@pytest.mark.parametrize("piece", GROWING)
def test_the_work_on_a_text_grows_as_its_lines_do(piece):
    read_typed(piece * 40, ids(), "en")  # what is made ready once is not counted
    few, many = work_on(piece * 60), work_on(piece * 240)
    assert many < 8 * few, f"four times the text is {many / few:.1f} times the work"


def work_on(text):
    """How many calls it takes to read it."""
    calls = 0

    def count_call(frame, event, arg):
        nonlocal calls
        calls += event in {"call", "c_call"}

    before = sys.getprofile()
    sys.setprofile(count_call)
    try:
        read_typed(text, ids(), "en")
    finally:
        sys.setprofile(before)
    return calls
