"""Plain tables of results: who answered what, with no session behind it."""

from dataclasses import dataclass

from lantern.core.analysis.results import Asked, Person, Results
from lantern.core.questions import kind_of
from lantern.core.questions.items import Answer, Item
from lantern.core.questions.kinds.choice import ChoiceAnswer
from lantern.core.questions.kinds.text_entry import TextEntryAnswer


@dataclass(frozen=True)
class Given:
    """One answer in a table."""

    seat: int
    answer: Answer
    mark: float | None
    short: str
    at: int = 0
    took: int = 4000
    points: int = 0


def a_table(*columns: tuple[Item, str | list[str]], names: str = "", **of_people: list[str]) -> Results:
    """`columns` are questions with what each student answered, in the order of seats: letters of a choice, or typed
    texts; "-" for nothing. `names` are letters. `of_people` are classes and groups."""
    count = len(columns[0][1])
    people = tuple(
        Person(
            number=seat,
            name=names[seat - 1] if names else f"Student {seat:03}",
            points=0,
            place=1,
            **{key: values[seat - 1] for key, values in of_people.items()},
        )
        for seat in range(1, count + 1)
    )
    asks = tuple(_asked(item, number, given) for number, (item, given) in enumerate(columns, start=1))
    return Results(title="Knots", people=people, asks=asks, marked_otherwise=0)


def _asked(item: Item, number: int, given: str | list[str], round_: int = 1, *, stands: bool = True) -> Asked:
    answers = {seat: _answer(one) for seat, one in enumerate(given, start=1) if one != "-"}
    responses = {seat: _given(item, seat, answer) for seat, answer in answers.items()}
    return Asked(
        item=item,
        number=number,
        round=round_,
        stands=stands,
        set_aside=False,
        dropped=False,
        asked_of=frozenset(range(1, len(given) + 1)),
        responses=responses,
        marks={seat: r.mark for seat, r in responses.items() if r.mark is not None},
        by_hand=0,
        corrections=(),
    )


def asked_before(table: Results, number: int, given: str) -> Results:
    """The same, with a vote before the one of this question."""
    asks = []
    for ask in table.asks:
        if ask.number == number:
            asks.append(_asked(ask.item, number, given, stands=False))
            asks.append(_asked(ask.item, number, _letters(ask, len(given)), 2))
        else:
            asks.append(ask)
    return Results(title=table.title, people=table.people, asks=tuple(asks), marked_otherwise=0)


def _letters(ask: Asked, count: int) -> str:
    return "".join(ask.responses[seat].short if seat in ask.responses else "-" for seat in range(1, count + 1))


def _answer(one: str) -> Answer:
    return ChoiceAnswer(chosen=(one,)) if len(one) == 1 else TextEntryAnswer(text=one)


def _given(item: Item, seat: int, answer: Answer) -> Given:
    kind = kind_of(item)
    return Given(seat, answer, kind.score(item, answer), kind.short_text(item, answer))
