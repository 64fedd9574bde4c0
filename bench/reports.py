"""Marking a large session anew, and writing its workbook beside the bare writer library."""

import statistics
import time
from collections.abc import Callable
from datetime import date
from io import BytesIO
from random import Random
from typing import Any

import xlsxwriter

from bench.questions import questions
from lantern.core.analysis.of_session import results_of
from lantern.core.analysis.report import report_of
from lantern.core.analysis.tables import workbook_tables
from lantern.core.formats.result_pages import SheetQuestion, StudentSheet, student_pdf
from lantern.core.formats.table import Table
from lantern.core.formats.xlsx import write_workbook
from lantern.core.questions import kind_of
from lantern.core.questions.content import SetContent
from lantern.core.session import Actor, Recorded, Role, Sent, Settings, State, new_session, replay
from lantern.core.session import events as e
from lantern.core.session.actors import NEWCOMER
from lantern.core.session.model import ask_id
from lantern.core.session.roster import Person

STUDENTS, QUESTIONS, ROUNDS = 1000, 50, 3
PDFS, ON_A_PAGE = 200, 8


def measure_reports() -> dict[str, Any]:
    first, history = a_large_session()
    state = replay(first, history)
    tables = [one.spoken("en") for one in workbook_tables(results_of(state))]
    ours, bare = _alternating(lambda: write_workbook(tables), lambda: _bare_workbook(tables))
    pages = statistics.median(seconds(_two_hundred_pages) for _ in range(ROUNDS))
    regrade = statistics.median(cpu(lambda: report_of(results_of(replay(first, history)))) for _ in range(ROUNDS))
    return {
        "regrade_students": STUDENTS,
        "regrade_questions": QUESTIONS,
        "regrade_cpu_s": round(regrade, 2),
        "workbook_cpu_s": round(ours, 2),
        "bare_workbook_cpu_s": round(bare, 2),
        "workbook_ratio": round(ours / bare, 2),
        "pdfs": PDFS,
        "pdfs_s": round(pages, 2),
    }


def a_large_session() -> tuple[State, list[Recorded]]:
    rng = Random(1)
    items = tuple(questions(QUESTIONS, mixed=True))
    roster = {f"p{n}": Person(f"p{n}", f"Student {n}") for n in range(1, STUDENTS + 1)}
    first = new_session(SetContent(title="Large", items=items), Settings(), "seed", roster=roster)
    desk = Actor(Role.DESK, 1)
    history = [Recorded(Sent(NEWCOMER, 0, 0), e.Joined(n, f"p{n}", f"k{n}")) for n in range(1, STUDENTS + 1)]
    for number, item in enumerate(items, start=1):
        ask = ask_id(item.id, 1)
        history.append(Recorded(Sent(desk, 2 * number, 0), e.Opened(ask, 30_000)))
        for seat in range(1, STUDENTS + 1):
            answer = kind_of(item).imagine(item, 0.6, rng)
            history.append(Recorded(Sent(Actor(Role.SEAT, seat), 1, 1000 + seat), e.Answered(ask, answer)))
        history.append(Recorded(Sent(desk, 2 * number + 1, 30_000), e.Closed(ask, "desk")))
    return first, history


def _bare_workbook(tables: list[Table]) -> bytes:
    """The same cells, with nothing around the library."""
    buffer = BytesIO()
    book = xlsxwriter.Workbook(buffer, {"in_memory": True, "remove_timezone": True})
    for table in tables:
        sheet = book.add_worksheet(table.title)
        for number, row in enumerate([table.columns, *table.rows]):
            for column, cell in enumerate(row):
                if cell is not None:
                    sheet.write(number, column, cell)
    book.close()
    return buffer.getvalue()


def _alternating(one: Callable[[], object], other: Callable[[], object]) -> tuple[float, float]:
    times = [(cpu(one), cpu(other)) for _ in range(ROUNDS)]
    return statistics.median(a for a, _ in times), statistics.median(b for _, b in times)


def _two_hundred_pages() -> None:
    """A file for each student, as a zip holds them, with formulas and more than one script."""
    asked = [
        SheetQuestion(n, f"Which light **flashes** $\\frac{{{n}}}{{2}}$ times, Ευγενία?", "en", None, True, "Beacon",
                      "Lantern", 0.5, False, True, "Well tried.", "Because *it* does.")
        for n in range(1, ON_A_PAGE + 1)
    ]  # fmt: skip
    for number in range(PDFS):
        sheet = StudentSheet(
            f"Student {number}", "Large", "8C", date(2026, 11, 20), "en", "en", 4, 8, 0.5, None, None, 200, "", asked
        )
        student_pdf([sheet], "a4", {})


def seconds(action: Callable[[], object]) -> float:
    start = time.perf_counter()
    action()
    return time.perf_counter() - start


def cpu(action: Callable[[], object]) -> float:
    start = time.process_time()
    action()
    return time.process_time() - start
