"""Class lists as people have them, and who of them is in the class already (docs/classes.md)."""

import csv
from io import BytesIO, StringIO
from typing import get_args
from zipfile import ZipFile

import pytest
from hypothesis import given
from hypothesis import strategies as st

from lantern.core.classes.comparing import Outcome, Present, Row, alike, compared, merged, missing
from lantern.core.classes.members import MOST_MEMBERS, MemberForm, tidy
from lantern.core.classes.names import names_of
from lantern.core.classes.record_ids import record_key
from lantern.core.errors import BadName, Unreadable
from lantern.core.formats.class_list import SHEETS, class_table, read_class_list, read_names
from lantern.core.formats.exchange import Source
from lantern.core.formats.oneroster import VERSIONS, ClassToWrite, is_oneroster, read_oneroster, write_oneroster
from lantern.core.languages import TeacherLanguage
from lantern.core.messages import said


def member(name, **more):
    return tidy(MemberForm(name=name, **more))


def row(name, **more):
    return Row(place=said("place_line", "Line {number}", number=1), form=member(name, **more))


def class_of(*names, left=()):
    forms = [name if isinstance(name, MemberForm) else member(name) for name in names]
    return [Present(number, form, number in left) for number, form in enumerate(forms, start=1)]


def outcomes(rows, class_list):
    return [(one.outcome, one.member) for one in compared(rows, class_list)]


# --- names -----------------------------------------------------------------------------------------


@pytest.mark.parametrize(
    ("typed", "shown", "sorted_as"),
    [
        ("Alva Renner", "Alva Renner", "Renner, Alva"),
        ("Renner, Alva", "Alva Renner", "Renner, Alva"),
        ("RENNER Alva", "Alva RENNER", "RENNER, Alva"),
        ("Jan van der Berg", "Jan van der Berg", "van der Berg, Jan"),
        ("Yuki", "Yuki", "Yuki"),
        ("  Bo   Tanaka-Lind ", "Bo Tanaka-Lind", "Tanaka-Lind, Bo"),
        ("Dr", "Dr", "Dr"),
        ("李小龍", "李小龍", "李小龍"),
        (f"{'x' * 19}, {'y' * 20}", f"{'y' * 20} {'x' * 19}", f"{'x' * 19}, {'y' * 20}"),
    ],
)
def test_a_name_says_how_it_is_sorted(typed, shown, sorted_as):
    assert names_of(typed) == (shown, sorted_as)


@given(st.text(max_size=60))
def test_a_sort_name_reads_back_as_the_same_name(typed):
    try:
        shown, sort_name = names_of(typed)
    except BadName:
        return
    again = names_of(sort_name) if len(sort_name) <= 40 else (shown, sort_name)
    assert again[1].split() == sort_name.split() or "," in shown


@pytest.mark.parametrize(
    ("one", "other"), [("A.Renner@Gullmark.example ", "a.renner@gullmark.example"), ("GB 104", "gb104")]
)
def test_record_ids_differ_neither_by_case_nor_by_spaces(one, other):
    assert record_key(one) == record_key(other)


# --- reading ---------------------------------------------------------------------------------------


def test_names_come_one_a_line_however_they_are_counted():
    text = "1. Alva Renner\n\n- Bo Tanaka-Lind\n3) Adeyemi, Cyrus\n  Dagny Holt,  \n"
    assert [one.form.name for one in read_names(text).rows] == [
        "Alva Renner", "Bo Tanaka-Lind", "Cyrus Adeyemi", "Dagny Holt",
    ]  # fmt: skip


def csv_list(text, **choices):
    return read_class_list(Source("class.csv", text.encode(), choices))


@pytest.mark.parametrize(
    ("text", "uses", "first"),
    [
        ("Name\nAlva Renner\n", ["name"], ("Alva Renner", "Renner, Alva", "")),
        ("Last name,First name\nRenner,Alva\n", ["last", "first"], ("Alva Renner", "Renner, Alva", "")),
        ("Nachname;Vorname;E-Mail\nRenner;Alva;a@b.example\n", ["last", "first", "record_id"],
         ("Alva Renner", "Renner, Alva", "a@b.example")),
        ("Nr;Name;Vorname\n1;Renner;Alva\n", ["", "last", "first"], ("Alva Renner", "Renner, Alva", "")),
        ("Nom,Prénom\nRenner,Alva\n", ["last", "first"], ("Alva Renner", "Renner, Alva", "")),
        ("Renner,Alva,20417\n", ["last", "first", "record_id"], ("Alva Renner", "Renner, Alva", "20417")),
        ("Alva Renner,a@b.example\n", ["name", "record_id"], ("Alva Renner", "Renner, Alva", "a@b.example")),
        ("Student,Student ID,Keypad\nAlva Renner,GB-104,17 18\n", ["name", "record_id", "keypads"],
         ("Alva Renner", "Renner, Alva", "GB-104")),
    ],
)  # fmt: skip
def test_columns_are_known_by_their_headings_or_by_what_they_hold(text, uses, first):
    found = csv_list(text)
    assert [column.use for column in found.columns] == uses
    form = found.rows[0].form
    assert (form.name, form.sort_name, form.record_id) == first


def test_a_column_can_be_used_for_something_else():
    text = "Group;What we call them;Notes\nA;Renner, Alva;x\n"
    assert csv_list(text).notes[0].code == "no_column_of_names"
    found = csv_list(text, **{"1": "name"})
    assert [one.form.name for one in found.rows] == ["Alva Renner"]


def test_what_cannot_be_kept_says_why_and_nothing_of_it_is_lost():
    found = csv_list(f"Name,ID\n{'x' * 50},1\n,GB-9\nBo Holt,{'9' * 120}\n")
    assert [one.why.code for one in found.rows if one.why] == ["bad_name", "no_name_in_row", "record_id_too_long"]
    assert found.rows[1].form.record_id == "GB-9"


def test_a_list_is_bounded_and_says_so():
    found = read_names("\n".join(f"Fen Okoro-{number}" for number in range(MOST_MEMBERS + 5)))
    assert len(found.rows) == MOST_MEMBERS
    assert found.notes[0].params == {"most": MOST_MEMBERS, "all": MOST_MEMBERS + 5}


@pytest.mark.parametrize("language", get_args(TeacherLanguage))
@pytest.mark.parametrize("sheet", SHEETS, ids=lambda one: one.suffix)
def test_a_class_list_that_is_written_is_read_back_in_whatever_language(sheet, language):
    forms = [member("Alva Renner", record_id="GB-104", keypads=("7",)), member("Yuki"), member("de Boer, Jan")]
    data = sheet.pack(class_table(forms).spoken(language))
    found = read_class_list(Source(f"8c{sheet.suffix}", data))
    assert [one.form for one in found.rows] == forms


# --- comparing (C1 to C9) ----------------------------------------------------------------------------


def test_who_is_not_there_is_new_and_who_is_stays():
    assert outcomes([row("Alva Renner"), row("Fen Okoro")], class_of("Alva Renner")) == [
        (Outcome.SAME, 1),
        (Outcome.NEW, None),
    ]


def test_what_is_said_otherwise_is_changed_and_what_is_not_said_stays():
    before = member("Alva Renner", notes="sits in front")
    found = compared([row("Alva Renner", record_id="GB-104")], class_of(before))
    assert (found[0].outcome, found[0].changes) == (Outcome.CHANGED, ("record_id",))
    assert merged(before, found[0].row.form).notes == "sits in front"


def test_a_record_id_knows_a_person_whose_name_was_written_otherwise():
    found = compared([row("Alva Rennert", record_id="gb 104")], class_of(member("Alva Renner", record_id="GB104")))
    assert (found[0].outcome, found[0].member) == (Outcome.CHANGED, 1)


def test_the_same_record_id_with_quite_another_name_is_doubtful():
    assert outcomes([row("Fen Okoro", record_id="7")], class_of(member("Alva Renner", record_id="7"))) == [
        (Outcome.DOUBTFUL, 1)
    ]


def test_the_same_name_with_another_record_id_is_doubtful():
    assert outcomes([row("Alva Renner", record_id="8")], class_of(member("Alva Renner", record_id="7"))) == [
        (Outcome.DOUBTFUL, 1)
    ]


@pytest.mark.parametrize(
    "written",
    [
        "Alva Rener",
        "A. Renner",
        "Alva R.",
        "Renner Alva",
        "Alva Maria Renner",
        "Älva Renner",
        "Alv Renner",
        "Alva-Renner",
    ],
)
def test_who_may_be_somebody_written_otherwise_is_doubtful(written):
    assert outcomes([row(written)], class_of("Fen Okoro", "Alva Renner")) == [(Outcome.DOUBTFUL, 2)]


@pytest.mark.parametrize("other", ["Alva Holt", "Bo Renner", "Fen Okoro", "Alva", "Mara Devi"])
def test_other_people_are_not_doubted(other):
    assert outcomes([row(other)], class_of("Alva Renner")) == [(Outcome.NEW, None)]


def test_two_with_record_ids_of_their_own_are_two_people():
    assert outcomes([row("Alva Rener", record_id="8")], class_of(member("Alva Renner", record_id="7"))) == [
        (Outcome.NEW, None)
    ]


def test_nobody_is_taken_for_two():
    rows = [row("Alva Renner"), row("A. Renner"), row("Alva Rener")]
    assert outcomes(rows, class_of("Alva Renner")) == [(Outcome.SAME, 1), (Outcome.NEW, None), (Outcome.NEW, None)]


def test_who_stands_in_the_list_twice_is_taken_once():
    assert [one.outcome for one in compared([row("Fen Okoro"), row("fen  okoro")], [])] == [Outcome.NEW, Outcome.TWICE]


def test_two_of_one_name_with_their_own_record_ids_are_both_new():
    rows = [row("Fen Okoro", record_id="1"), row("Fen Okoro", record_id="2")]
    assert [one.outcome for one in compared(rows, [])] == [Outcome.NEW, Outcome.NEW]


def test_who_had_left_comes_back_and_the_class_goes_first():
    assert outcomes([row("Fen Okoro")], class_of("Fen Okoro", left={1})) == [(Outcome.BACK, 1)]
    both = class_of("Fen Okoro", "Fen Okoro", left={1})
    assert outcomes([row("Fen Okoro")], both) == [(Outcome.SAME, 2)]


def test_who_is_not_in_the_list_is_told_and_stays():
    class_list = class_of("Alva Renner", "Fen Okoro", "Bo Holt", left={3})
    assert missing(compared([row("Alva Renner")], class_list), class_list) == [2]


NAMES = st.lists(
    st.sampled_from(["Alva Renner", "Alva Rener", "Bo Holt", "Fen Okoro", "F. Okoro", "Okoro, Fen"]), max_size=8
)


@given(NAMES, NAMES)
def test_every_row_has_one_outcome_and_every_member_at_most_one_row(rows, present):
    found = compared([row(name) for name in rows], class_of(*present))
    assert len(found) == len(rows)
    taken = [one.member for one in found if one.member is not None]
    assert len(set(taken)) == len(taken)


@given(NAMES)
def test_a_list_that_comes_again_changes_nothing(names):
    class_list = class_of(*{names_of(name): name for name in names}.values())
    again = compared([row(present.form.name) for present in class_list], class_list)
    assert {one.outcome for one in again} <= {Outcome.SAME, Outcome.TWICE}


@given(st.text(max_size=30), st.text(max_size=30))
def test_likeness_goes_both_ways(one, other):
    assert alike(one, other) == alike(other, one)


# --- OneRoster -------------------------------------------------------------------------------------


ALVA = member("Alva Renner", record_id="GB-104")
SCHOOL = [
    ClassToWrite(
        "c1", "8C", "Coastal Science", "2026", {"u1": member("Alva Renner", record_id="GB-104"), "u2": member("Yuki")}
    ),
    ClassToWrite("c2", "Evening", "Seamanship", "2025", {"u1": member("Alva Renner", record_id="GB-104")}),
    ClassToWrite("c3", "Nobody yet", "", "2026", {}),
]


@pytest.mark.parametrize("version", VERSIONS)
def test_a_roster_that_is_written_is_read_back(version):
    data = write_oneroster("Gullmark Bay Community School", SCHOOL, version)
    assert is_oneroster(Source("", data))
    found = read_oneroster(Source("", data))
    assert found.notes == []
    assert [(one.id, one.name, one.subject or "", one.year) for one in found.classes] == [
        ("c1", "8C", "Coastal Science", "2026"),
        ("c2", "Evening", "Seamanship", "2025"),
        ("c3", "Nobody yet", "Nobody yet", "2026"),
    ]
    assert [[r.form for r in one.rows] for one in found.classes] == [[*one.members.values()] for one in SCHOOL]


def test_an_id_is_written_as_it_is_and_a_name_never_as_a_formula():
    people = {"-Bni9bDTE_": member("=1+1"), "=cmd|x": member("Yuki")}
    archive = ZipFile(BytesIO(write_oneroster("School", [ClassToWrite("-c", "8C", "", "", people)], "1.2")))
    users = [*csv.DictReader(StringIO(archive.read("users.csv").decode()))]
    assert [(one["sourcedId"], one["givenName"] + one["familyName"]) for one in users] == [
        ("-Bni9bDTE_", "'=1+1"),
        ("'=cmd|x", "Yuki"),
    ]


def packed(**tables):
    buffer = BytesIO()
    with ZipFile(buffer, "w") as archive:
        for name, text in tables.items():
            archive.writestr(f"export/{name}.csv", text)
    return buffer.getvalue()


USERS = (
    "sourcedId,status,dateLastModified,enabledUser,orgSourcedIds,role,username,userIds,givenName,familyName,middleName,"
    "identifier,email\n"
    'u1,active,2026-08-01,true,"o1","student",alva,,Alva,Renner,,,alva@gullmark.example\n'
    'u2,tobedeleted,2026-08-01,true,"o1","student",bo,,Bo,Holt,,,\n'
    "u3,,,true,o1,teacher,odile,,Odile,Brandt,,,\n"
)
CLASSES = 'SourcedId,status,title,courseSourcedId,termSourcedIds\nc1,active,8C,k1,"t1,t2"\n'
ENROLLED = (
    "sourcedId,classSourcedId,userSourcedId,role\n"
    "e1,c1,u1,student\ne2,c1,u3,teacher\ne3,c1,u2,student\ne4,c9,u1,student\n"
)


def test_a_roster_of_another_program_is_read():
    """Headings in another case, a folder in the archive, what was deleted, what names nobody."""
    found = read_oneroster(
        Source("", packed(
            users=USERS, classes=CLASSES, enrollments=ENROLLED,
            courses="sourcedId,title,subjects\nk1,Coastal Science,\n",
            academicSessions="sourcedId,title,schoolYear\nt2,Spring,2027\n",
        ))
    )  # fmt: skip
    (only,) = found.classes
    assert (only.name, only.subject, only.year) == ("8C", "Coastal Science", "2027")
    assert [(one.form.name, one.form.record_id) for one in only.rows] == [("Alva Renner", "alva@gullmark.example")]
    assert found.notes[0].params == {"lost": 2}


def test_what_is_no_roster_is_told():
    assert not is_oneroster(Source("", b"PK\x03\x04 broken"))
    assert not is_oneroster(Source("", packed(items="x")))
    with pytest.raises(Unreadable):
        read_oneroster(Source("", b"nothing"))
