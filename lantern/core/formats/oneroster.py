"""Class lists in OneRoster's CSV binding (1EdTech, versions 1.1 and 1.2): a zip of tables.

1. Read are orgs, academic sessions, courses, classes, users and enrollments; of the enrollments those of students.
2. What is marked `tobedeleted` is left out. What one table names and another does not hold is told.
3. A member's record ID is the user's `identifier`, or else the e-mail address.
4. What is written is read back as it was, in either version.
5. An id is written as it is, whatever it begins with: by it another system knows who is meant.
"""

import csv
import re
from collections import defaultdict
from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass, field
from io import BytesIO, StringIO
from itertools import islice
from typing import Literal
from zipfile import ZIP_DEFLATED, ZipFile

from lantern.core.classes.comparing import Row
from lantern.core.classes.members import MOST_MEMBERS, MemberForm, tidy
from lantern.core.errors import BadName, Unreadable
from lantern.core.formats.csv import as_text, without_marks
from lantern.core.formats.files import Source
from lantern.core.formats.safezip import SafeZip, is_zip
from lantern.core.formats.text_format import text_in
from lantern.core.messages import Message, said

Version = Literal["1.1", "1.2"]
VERSIONS: tuple[Version, ...] = ("1.1", "1.2")
MOST_LINES = 200_000
MOST_BYTES = 40 * 1024 * 1024
"""Of one table."""
STATUS = ("sourcedId", "status", "dateLastModified")
_TABLES: dict[str, tuple[str, ...]] = {
    "orgs": (*STATUS, "name", "type", "identifier", "parentSourcedId"),
    "academicSessions": (*STATUS, "title", "type", "startDate", "endDate", "parentSourcedId", "schoolYear"),
    "courses": (*STATUS, "schoolYearSourcedId", "title", "courseCode", "grades", "orgSourcedId", "subjects",
                "subjectCodes"),
    "classes": (*STATUS, "title", "grades", "courseSourcedId", "classCode", "classType", "location",
                "schoolSourcedId", "termSourcedIds", "subjects", "subjectCodes", "periods"),
    "enrollments": (*STATUS, "classSourcedId", "schoolSourcedId", "userSourcedId", "role", "primary", "beginDate",
                    "endDate"),
}  # fmt: skip
_USERS: dict[Version, tuple[str, ...]] = {
    "1.1": (*STATUS, "enabledUser", "orgSourcedIds", "role", "username", "userIds", "givenName", "familyName",
            "middleName", "identifier", "email", "sms", "phone", "agentSourcedIds", "grades", "password"),
    "1.2": (*STATUS, "enabledUser", "username", "userIds", "givenName", "familyName", "middleName", "identifier",
            "email", "sms", "phone", "agentSourcedIds", "grades", "password", "userMasterIdentifier",
            "resourceSourcedIds", "preferredGivenName", "preferredMiddleName", "preferredFamilyName",
            "primaryOrgSourcedId", "pronouns"),
}  # fmt: skip
_ROLES = (*STATUS, "userSourcedId", "roleType", "role", "beginDate", "endDate", "orgSourcedId", "userProfileSourcedId")
_ID = re.compile(r"[-\w,]*", re.ASCII)
_FILES = ("academicSessions", "categories", "classes", "classResources", "courses", "courseResources",
                "demographics", "enrollments", "lineItems", "orgs", "resources", "results", "users")  # fmt: skip
_FILES_OF_12 = ("lineItemLearningObjectiveIds", "lineItemScoreScales", "resultLearningObjectiveIds",
                "resultScoreScales", "roles", "scoreScales", "userProfiles", "userResources")  # fmt: skip


@dataclass
class RosterClass:
    """`id` is the class's sourcedId: by it the class is found again. `rows` are its students."""

    id: str
    name: str
    subject: str
    year: str
    rows: list[Row] = field(default_factory=list)


@dataclass
class Roster:
    classes: list[RosterClass]
    notes: list[Message] = field(default_factory=list)


Line = Mapping[str, str]


def is_oneroster(source: Source) -> bool:
    if not is_zip(source):
        return False
    try:
        names = SafeZip(source.opened()).names
    except Unreadable:
        return False
    return {"users.csv", "enrollments.csv"} <= {name.rsplit("/", 1)[-1].lower() for name in names}


def read_oneroster(source: Source) -> Roster:
    """Raises Unreadable."""
    tables = _Tables(SafeZip(source.opened()))
    users, courses = tables.by_id("users"), tables.by_id("courses")
    years = {
        id: line.get("schoolYear") or line.get("title", "") for id, line in tables.by_id("academicSessions").items()
    }
    classes = {
        id: RosterClass(id, line.get("title", "")[:80], _subject(line, courses)[:80], _year(line, courses, years)[:20])
        for id, line in tables.by_id("classes").items()
    }
    found = Roster(list(classes.values()))
    lost = 0
    for line in tables.lines("enrollments"):
        if line.get("role", "").casefold() != "student":
            continue
        user, of_class = users.get(line.get("userSourcedId", "")), classes.get(line.get("classSourcedId", ""))
        if user is None or of_class is None:
            lost += 1
        elif len(of_class.rows) < MOST_MEMBERS:
            of_class.rows.append(_row(len(of_class.rows) + 1, user))
    if lost:
        found.notes.append(
            said(
                "enrollments_of_nobody",
                "{lost} enrollments name a student or a class that is not in the file.",
                lost=lost,
            )
        )
    return found


class _Tables:
    def __init__(self, archive: SafeZip) -> None:
        self._archive = archive
        self._members = {name.rsplit("/", 1)[-1].lower(): name for name in archive.names}

    def lines(self, table: str) -> Iterator[Line]:
        """Headings are matched in any case; what is marked as deleted is left out."""
        data = self._archive.read(self._members.get(f"{table.lower()}.csv", ""), MOST_BYTES)
        if data is None:
            return
        reader = csv.reader(StringIO(text_in(data, MOST_BYTES).replace("\0", ""), newline=""))
        known = {name.lower(): name for name in (*_TABLES.get(table, ()), *_USERS["1.1"], *_USERS["1.2"])}
        try:
            headings = [known.get(name.strip().lower(), name.strip()) for name in next(reader, [])]
            for cells in islice(reader, MOST_LINES):
                line = {name: without_marks(cell).strip() for name, cell in zip(headings, cells, strict=False)}
                if line.get("status", "").casefold() != "tobedeleted":
                    yield line
        except csv.Error as error:
            raise Unreadable(said("sheet_cell_never_ends", "This file has a cell that never ends.")) from error

    def by_id(self, table: str) -> dict[str, Line]:
        return {line["sourcedId"]: line for line in self.lines(table) if line.get("sourcedId")}


def _subject(line: Line, courses: Mapping[str, Line]) -> str:
    course = courses.get(line.get("courseSourcedId", ""), {})
    return line.get("subjects") or course.get("subjects") or course.get("title", "")


def _year(line: Line, courses: Mapping[str, Line], years: Mapping[str, str]) -> str:
    course = courses.get(line.get("courseSourcedId", ""), {})
    terms = [*line.get("termSourcedIds", "").split(","), course.get("schoolYearSourcedId", "")]
    return next((years[term.strip()] for term in terms if years.get(term.strip())), "")


def _row(number: int, user: Line) -> Row:
    given = user.get("preferredGivenName") or user.get("givenName", "")
    family = user.get("preferredFamilyName") or user.get("familyName", "")
    typed = f"{family}, {given}" if family and given else family or given or user.get("username", "")
    form = MemberForm(name=typed[:200], record_id=(user.get("identifier") or user.get("email", ""))[:200])
    place = said("place_student", "Student {number}", number=number)
    try:
        if not typed:
            raise BadName(said("no_name_in_row", "There is no name in this row."))
        return Row(place=place, form=tidy(form))
    except BadName as error:
        return Row(place=place, form=form, why=error.message)


# --- writing ---------------------------------------------------------------------------------------


@dataclass(frozen=True, slots=True)
class ClassToWrite:
    """`members` by an id of their own, which is the same each time they are written."""

    id: str
    name: str
    subject: str
    year: str
    members: Mapping[str, MemberForm]


def write_oneroster(school: str, classes: Sequence[ClassToWrite], version: Version) -> bytes:
    """The classes of one school, with their members as students."""
    tables: dict[str, list[dict[str, str]]] = defaultdict(list)
    tables["orgs"].append({"sourcedId": "school", "name": school, "type": "school"})
    years = {one.year: f"year-{number}" for number, one in enumerate({c.year: c for c in classes}.values(), start=1)}
    for year, id in years.items():
        tables["academicSessions"].append(
            {"sourcedId": id, "title": year or "Year", "type": "schoolYear", "schoolYear": year}
        )
    users: dict[str, MemberForm] = {}
    for one in classes:
        course = f"course-{one.id}"
        tables["courses"].append(
            {"sourcedId": course, "schoolYearSourcedId": years[one.year], "title": one.subject or one.name,
             "orgSourcedId": "school", "subjects": one.subject}
        )  # fmt: skip
        tables["classes"].append(
            {"sourcedId": one.id, "title": one.name, "courseSourcedId": course, "classType": "scheduled",
             "schoolSourcedId": "school", "termSourcedIds": years[one.year], "subjects": one.subject}
        )  # fmt: skip
        for member, form in one.members.items():
            users.setdefault(member, form)
            tables["enrollments"].append(
                {"sourcedId": f"{one.id}-{member}", "classSourcedId": one.id, "schoolSourcedId": "school",
                 "userSourcedId": member, "role": "student"}
            )  # fmt: skip
    for member, form in users.items():
        tables["users"].append(_user(member, form, version))
        tables["roles"].append(
            {"sourcedId": f"role-{member}", "userSourcedId": member, "roleType": "primary", "role": "student",
             "orgSourcedId": "school"}
        )  # fmt: skip
    return _packed(tables, version)


def _user(id: str, form: MemberForm, version: Version) -> dict[str, str]:
    family, _, given = form.sort_name.partition(", ")
    is_address = "@" in form.record_id
    user = {
        "sourcedId": id,
        "enabledUser": "true",
        "username": id,
        "givenName": given,
        "familyName": family,
        "identifier": "" if is_address else form.record_id,
        "email": form.record_id if is_address else "",
    }
    own = {"1.1": {"orgSourcedIds": "school", "role": "student"}, "1.2": {"primaryOrgSourcedId": "school"}}
    return user | own[version]


def _packed(tables: Mapping[str, Sequence[Mapping[str, str]]], version: Version) -> bytes:
    columns = _TABLES | {"users": _USERS[version]} | ({"roles": _ROLES} if version == "1.2" else {})
    buffer = BytesIO()
    with ZipFile(buffer, "w", ZIP_DEFLATED) as archive:
        archive.writestr("manifest.csv", manifest(columns, version))
        for table, headings in columns.items():
            archive.writestr(f"{table}.csv", written(headings, tables.get(table, ())))
    return buffer.getvalue()


def manifest(tables: Mapping[str, object], version: Version) -> str:
    files = (*_FILES, *_FILES_OF_12) if version == "1.2" else _FILES
    rows = [
        {"propertyName": "manifest.version", "value": "1.0"},
        {"propertyName": "oneroster.version", "value": version},
        *({"propertyName": f"file.{name}", "value": "bulk" if name in tables else "absent"} for name in sorted(files)),
        {"propertyName": "source.systemName", "value": "Tall Lantern"},
    ]
    return written(("propertyName", "value"), rows)


def written(headings: Sequence[str], rows: Sequence[Mapping[str, str]]) -> str:
    out = StringIO()
    writer = csv.writer(out)
    writer.writerow(headings)
    writer.writerows([_cell(name, row.get(name, "")) for name in headings] for row in rows)
    return out.getvalue()


def _cell(heading: str, value: str) -> str:
    """Ids are letters, figures, dashes and underscores: no spreadsheet makes anything of a formula of these alone."""
    is_id = heading.casefold().endswith(("sourcedid", "sourcedids", "username")) and _ID.fullmatch(value)
    return value if is_id else as_text(value)
