"""Decks: what was asked in a class goes into them, each answer moves a card, and what is due is looked up."""

from collections.abc import Iterable, Mapping, Sequence
from typing import NamedTuple

from django.db.models import QuerySet

from lantern.core.practice import deck
from lantern.core.practice.deck import Today
from lantern.core.practice.schedule import SCHEDULE, Day, Memory, day_of, rated
from lantern.core.questions import kind_of
from lantern.core.questions.items import Item, Question
from lantern.core.questions.stored import ITEM, item_of
from lantern.core.session import State
from lantern.core.session.marks import marks_of
from lantern.core.session.model import Ask
from lantern.core.values import Milliseconds
from lantern.server.live.ended import state_of
from lantern.server.live.models import LiveSession
from lantern.server.practice.models import Card, DeckQuestion, Review


class Answered(NamedTuple):
    """A question that somebody of the class answered: when, and its mark."""

    key: str
    person: str
    at: Milliseconds
    mark: float


def cards_of(class_id: int, person: str) -> QuerySet[Card]:
    found = Card.objects.filter(question__of_class=class_id, person=person, question__session__deleted_at=None)
    return found.select_related("question__session")


def today(class_id: int, person: str, day: Day) -> Today:
    return deck.today(list(cards_of(class_id, person).values_list("due", flat=True)), day)


def coming(class_id: int, person: str, day: Day) -> list[Card]:
    """The cards of the next round."""
    rows = {row.pk: row for row in cards_of(class_id, person).filter(due__lte=day)}
    found = deck.due([deck.Card(row.pk, memory_of(row)) for row in rows.values()], day)
    return [rows[one.id] for one in found[: deck.MOST]]


def memory_of(card: Card) -> Memory:
    return Memory(card.stability, card.difficulty, card.last, card.due)


def key_of(session: LiveSession, item_id: str) -> str:
    """The same wherever the set's question is asked again."""
    of_set = session.revision.set_id if session.revision else None
    return f"set {of_set}.{item_id}" if of_set else f"session {session.pk}.{item_id}"


def is_practised(state: State, item: Item) -> bool:
    """Whether there is a right answer that a machine can tell."""
    return state.counts(item) and kind_of(item).key(item) is not None


def as_told(state: State, item_id: str) -> Item:
    """The question as its session told it: without its explanation, where none was shown."""
    item = state.item(item_id)
    if state.settings.explanations or not isinstance(item, Question):
        return item
    return item.model_copy(update={"explanation": "", "explanation_media": None})


def answers_in(session: LiveSession, state: State, people: Mapping[int, str]) -> list[Answered]:
    """What `people`, seats of members, answered to what can be practised."""
    found = []
    for ask in state.standing_asks():
        if is_practised(state, state.item(ask.item_id)):
            found += _answers_to(session, state, ask, people)
    return found


def _answers_to(session: LiveSession, state: State, ask: Ask, people: Mapping[int, str]) -> list[Answered]:
    marks, key = marks_of(state, ask), key_of(session, ask.item_id)
    return [
        Answered(key, people[seat], response.at, marks[seat])
        for seat, response in ask.responses.items()
        if seat in people and seat in marks
    ]


def take_in(session: LiveSession, state: State, answers: Sequence[Answered], zone: str) -> None:
    """Into the decks of a class: the questions as they are in this state, and a card for each who answered one."""
    asked = {key_of(session, item_id): as_told(state, item_id) for item_id in state.standing}
    questions = _questions(session, {key: asked[key] for key in {one.key for one in answers}})
    rows = Card.objects.filter(question__in=questions.values(), person__in={one.person for one in answers})
    known = {(row.question_id, row.person): row for row in rows}
    reviews: list[tuple[Card, Review]] = []
    for one in sorted(answers, key=lambda one: one.at):
        question = questions[one.key]
        card = known.get((question.pk, one.person)) or Card(question=question, person=one.person)
        review = moved(card, one.mark, day_of(one.at, zone))
        if review:
            known[question.pk, one.person] = card
            reviews.append((card, review))
    store([card for card, _ in reviews], [review for _, review in reviews])


def store(cards: Iterable[Card], reviews: Sequence[Review]) -> None:
    """Cards that have moved, and by what."""
    rows = {id(card): card for card in cards}.values()
    Card.objects.bulk_create([row for row in rows if row.pk is None])
    Card.objects.bulk_update(
        [row for row in rows if row.pk], ["stability", "difficulty", "last", "due"], batch_size=200
    )
    for review in reviews:
        review.card_id = review.card.pk  # by now it has one
    Review.objects.bulk_create(reviews)


def moved(card: Card, mark: float, day: Day) -> Review | None:
    """The card after an answer on that day; None, and unmoved, where more is known of it by now."""
    memory = memory_of(card) if card.last is not None else None
    if memory is not None and day < memory.last:
        return None
    is_return = memory is not None and day > memory.last
    expected = SCHEDULE.recall(memory, day) if memory is not None and is_return else None
    after = SCHEDULE.reviewed(memory, rated(mark), day)
    card.stability, card.difficulty, card.last, card.due = after
    return Review(card=card, day=day, mark=mark, expected=expected)


def practised(card_id: int, mark: float, day: Day) -> None:
    """An answer in a round of practice. A card may have gone with its session meanwhile."""
    card = Card.objects.filter(pk=card_id).first()
    review = moved(card, mark, day) if card else None
    if card and review:
        card.save()
        review.save()


def _questions(session: LiveSession, items: Mapping[str, Item]) -> dict[str, DeckQuestion]:
    """By their keys; those that are known are as this session asked them, where that is the later one."""
    assert session.of_class_id is not None
    found = {one.key: one for one in DeckQuestion.objects.filter(of_class=session.of_class_id, key__in=items)}
    for key, item in items.items():
        row = found.get(key) or DeckQuestion(of_class_id=session.of_class_id, key=key)
        if row.pk is None or row.session_id <= session.pk:
            _write(row, session, item)
            row.save()
        found[key] = row
    return found


def _write(row: DeckQuestion, session: LiveSession, item: Item) -> None:
    row.session, row.seq, row.shape = session, session.seq, ITEM.latest
    row.topic = item.tags[0] if item.tags else ""
    row.item = item.model_dump(mode="json")


def items_of(questions: Sequence[DeckQuestion]) -> dict[int, Item]:
    """By the question's row, as they are by now: what was put right since is read anew."""
    for row in questions:
        if row.session.seq != row.seq:
            state, item_id = state_of(row.session), row.item["id"]
            if item_id in state.items:
                _write(row, row.session, as_told(state, item_id))
                row.save()
    return {row.pk: item_of(row.shape, row.item) for row in questions}
