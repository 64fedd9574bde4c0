"""Who is erased: the name is gone, from everywhere; the figures of the class are as they were."""

import io
from pathlib import Path

import openpyxl
import pytest

from tests.builders import choice
from tools import web
from tools.client import TeacherClient, join, send_answer

NAME = "Ingeborg Vandermolen"


def everything(folder: Path) -> bytes:
    """All files of the database as they stand on disk, the journal among them."""
    return b"".join(path.read_bytes() for path in sorted(folder.glob("lantern.sqlite3*")))


@pytest.mark.slow
def test_a_name_that_is_erased_is_gone_from_disk_views_workbook_and_csv(own_server):
    teacher = TeacherClient(own_server.url)
    teacher.sign_up()
    session = teacher.start(teacher.make_set("Knots", [choice("B", id="q1").model_dump(mode="json")]))
    number = session["id"]
    tokens = [join(own_server.url, session["code"], name) for name in (NAME, "Fen")]
    teacher.command(number, "rename", seat=1, name=f"{NAME} O.")
    teacher.command(number, "write", seat=1, text=f"{NAME}, look at the splice.")
    teacher.command(number, "advance")
    note = {"id": "n", "number": 1, "command": {"do": "note", "text": f"{NAME} here: which splice?"}}
    web.post(
        f"{own_server.url}/api/live/student/commands", json=note, headers={"Authorization": f"Bearer {tokens[0]}"}
    ).raise_for_status()
    for token, letter in zip(tokens, "BC", strict=True):
        send_answer(own_server.url, token, "q1", {"kind": "choice", "chosen": [letter]})
    teacher.command(number, "end")
    before = teacher.call("GET", f"/sessions/{number}/report")["report"]
    assert NAME.encode() in everything(own_server.folder)

    teacher.command(number, "erase", seat=1)

    after = teacher.call("GET", f"/sessions/{number}/report")["report"]
    assert sorted(person["name"] for person in after["people"]) == ["#1", "Fen"]
    for report in (before, after):
        report["people"] = sorted(
            (p["seat"], p["score"], p["share"], p["points"], p["place"]) for p in report["people"]
        )
    assert after == before
    book = openpyxl.load_workbook(io.BytesIO(teacher.call("GET", f"/sessions/{number}/workbook.xlsx")))
    cells = [str(cell.value) for sheet in book for row in sheet.iter_rows() for cell in row]
    texts = [
        *cells,
        teacher.call("GET", f"/sessions/{number}/answers.csv").decode(),
        teacher.call("GET", f"/sessions/{number}/happened.csv").decode(),
        str(teacher.view(number)),
        str(teacher.call("GET", f"/live/sessions/{number}/screen")),
    ]
    assert not [text for text in texts if NAME in text]
    assert "#1" in cells
    assert NAME.encode() not in everything(own_server.folder)
    own_server.stop()
    assert NAME.encode() not in everything(own_server.folder)
