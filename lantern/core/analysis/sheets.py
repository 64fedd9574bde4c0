"""What stands on paper of a session's results: a page for each student, with what that student may see, and a page for
each question."""

from collections.abc import Sequence
from datetime import date

from lantern.core.analysis.one_question import question_page
from lantern.core.analysis.one_student import place_of
from lantern.core.analysis.question_report import Count, QuestionReport
from lantern.core.analysis.report import Report
from lantern.core.analysis.results import Asked, Results
from lantern.core.classes.ordering import in_order
from lantern.core.formats.result_pages import Figure, QuestionSheet, SheetCount, SheetQuestion, StudentSheet
from lantern.core.languages import Language
from lantern.core.messages import Message, said
from lantern.core.questions import kind_of
from lantern.core.questions.content import SetContent
from lantern.core.questions.items import ASKED_ALOUD, Question
from lantern.core.questions.richtext import plain
from lantern.core.session.asking import may_review, told
from lantern.core.session.model import State
from lantern.core.session.views import own_closing
from lantern.core.words import in_language

MOST_NAMES = 40
"""Of who gave the same wrong answer."""


def student_sheet(
    state: State, results: Results, report: Report, seat: int, language: Language, on: date, *, with_place: bool
) -> StudentSheet | None:
    """None for a seat that is not in the results. What the student's own device would not show in the end is not on it:
    docs/formats.md."""
    line = next((person for person in report.people if person.seat == seat), None)
    if line is None:
        return None
    chosen = state.settings
    told_now = own_closing(state, seat)  # nothing, as long as it is not over for them
    closing = told_now.score if told_now else "none"
    person = next(one for one in results.people if one.number == seat)
    has_points = chosen.shows_points and any(one.points for one in report.people)
    return StudentSheet(
        name=line.name,
        title=results.title,
        about=person.of_class,
        on=on,
        language=language,
        content_language=state.content.about.language,
        score=line.score if closing in ("marks", "both") else None,
        out_of=line.out_of,
        share=line.share if closing in ("percent", "both") else None,
        points=line.points if has_points else None,
        place=place_of(report.people, line) if with_place and closing != "none" else None,
        of=len(report.people),
        words=told_now.words if told_now else "",
        questions=_of_student(state, results, seat),
    )


def _of_student(state: State, results: Results, seat: int) -> list[SheetQuestion]:
    if not may_review(state, seat):
        return []
    mine = [ask for ask in results.standing if seat in ask.asked_of]
    return [_on_paper(state, ask, seat) for ask in mine if _is_told(state, ask, seat)]


def _is_told(state: State, ask: Asked, seat: int) -> bool:
    there = state.ask_of(ask.item.id)
    return there is not None and told(state, seat, there)


def _on_paper(state: State, ask: Asked, seat: int) -> SheetQuestion:
    item, response, chosen = ask.item, ask.responses.get(seat), state.settings
    kind = kind_of(item)
    return SheetQuestion(
        number=ask.number,
        prompt=kind.on_paper(item),
        language=item.language or state.content.about.language,
        picture=item.picture,
        answered=response is not None,
        answer=kind.answer_text(item, response.answer) if response else "",
        key=kind.key_text(item),
        mark=ask.marks.get(seat) if chosen.marks else None,
        waits=seat in ask.waiting,
        counts=ask.in_scores,
        comment=ask.comments.get(seat, ""),
        explanation=item.explanation if chosen.explanations and isinstance(item, Question) else "",
    )


def question_sheet(
    content: SetContent, results: Results, report: Report, item: str, on: date, spoken: Language, *, with_names: bool
) -> QuestionSheet | None:
    """None for a question that was not asked."""
    ask, page = results.asked(item), question_page(results, report, item)
    if ask is None or page is None:
        return None
    found = page.report
    names = {person.number: person.name for person in results.people}
    thirds = {(line.label, line.text): line.counts for line in page.thirds.lines} if page.thirds else {}
    return QuestionSheet(
        spoken=spoken,
        number=found.number,
        prompt=kind_of(ask.item).on_paper(ask.item) or in_language(ASKED_ALOUD, spoken),
        language=ask.item.language or content.about.language,
        picture=ask.item.picture,
        title=results.title,
        about=", ".join(sorted({person.of_class for person in results.people if person.of_class})),
        on=on,
        key=page.key,
        figures=_figures(found),
        counts=[_count(one, found.answered, thirds.get((one.label, one.text)), spoken) for one in found.counts],
        remarks=_remarks(found, names if with_names else {}, results.language),
        explanation=ask.item.explanation if isinstance(ask.item, Question) else "",
        rows=[(row.name, row.answer, row.mark) for row in page.answers] if with_names else None,
    )


def _count(one: Count, answered: int, thirds: tuple[int, int, int] | None, spoken: Language) -> SheetCount:
    share = min(1.0, one.count / answered) if answered else 0.0
    text = in_language(one.words, spoken) if one.words else plain(one.text)
    return SheetCount(one.label, text, one.count, share, one.right, thirds)


def _figures(found: QuestionReport) -> Sequence[tuple[Message, Message | Figure]]:
    seconds = (
        None
        if found.median_took is None
        else said("figure_seconds", "{seconds} s", seconds=f"{found.median_took / 1000:.1f}")
    )
    figures: tuple[tuple[Message, Message | Figure | None], ...] = (
        (said("figure_right", "Right on average"), None if found.share is None else Figure(found.share, "0 %")),
        (
            said("heading_discrimination", "Discrimination"),
            None if found.discrimination is None else Figure(found.discrimination, "0.00"),
        ),
        (said("heading_answered", "Answered"), Figure(found.answered)),
        (said("figure_no_answer", "No answer"), Figure(found.omitted) if found.omitted else None),
        (said("heading_waiting", "Without a mark yet"), Figure(found.waiting) if found.waiting else None),
        (said("figure_time", "Middle time"), seconds),
    )
    return [(name, value) for name, value in figures if value is not None]


def _remarks(found: QuestionReport, names: dict[int, str], language: str) -> list[Message]:
    """What a teacher would want to read beside the counts: why it is in no score, what was put right, the wrong answer
    that was given most."""
    remarks = [found.note] if found.note else []
    remarks += [
        said("by_whom", "{what} ({by})", what=one.sentence, by=one.by) if one.by else one.sentence
        for one in found.corrected
    ]
    if found.by_hand:
        remarks.append(said("marks_by_hand", "Marks given by hand: {count}", count=found.by_hand))
    if found.common_wrong and found.common_wrong.count > 1:
        by = in_order([names[seat] for seat in found.common_wrong.by if seat in names], language)
        wrong = said(
            "common_wrong", "Wrong answer given most: {text} ({count})", text=found.common_wrong.text,
            count=found.common_wrong.count,
        )  # fmt: skip
        remarks.append(
            said("by_these", "{what}: {names}", what=wrong, names=", ".join(by[:MOST_NAMES])) if by else wrong
        )
    remarks += [
        said("near_miss", "“{text}” ({count}): {why}", text=one.text, count=one.count, why=one.why)
        for one in found.near
    ]
    return remarks
