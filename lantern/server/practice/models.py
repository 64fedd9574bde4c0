"""What a class's students practise over days: the questions of their decks, a card for each student and question, and
what they knew each time. Whose a card is, it knows by the person of the class list."""

from django.db import models

from lantern.core.questions import stored
from lantern.server.classes.models import SchoolClass
from lantern.server.live.models import Attempt, LiveSession


def item_shape() -> int:
    return stored.ITEM.latest


class DeckQuestion(models.Model):
    """A question that was asked in the class, as it was put right by `seq` events of the `session` that asked it last.
    `key` is the same for all that asked it: its set and its id."""

    of_class = models.ForeignKey(SchoolClass, on_delete=models.CASCADE, related_name="deck_questions")
    key = models.CharField(max_length=80)
    session = models.ForeignKey(LiveSession, on_delete=models.CASCADE, related_name="+")
    seq = models.PositiveIntegerField(default=0)
    topic = models.CharField(max_length=60, blank=True)
    item = models.JSONField()
    shape = models.PositiveSmallIntegerField(default=item_shape)

    class Meta:
        constraints = (models.UniqueConstraint(fields=["of_class", "key"], name="one_deck_question_a_key"),)


class Card(models.Model):
    """What is known of one student and one question, as the core's Memory: days are those of the school's calendar."""

    question = models.ForeignKey(DeckQuestion, on_delete=models.CASCADE, related_name="cards")
    person = models.CharField(max_length=40, db_index=True)
    stability = models.FloatField()
    difficulty = models.FloatField()
    last = models.PositiveIntegerField()
    due = models.PositiveIntegerField()

    class Meta:
        constraints = (models.UniqueConstraint(fields=["question", "person"], name="one_card_a_person"),)


class Review(models.Model):
    """One time that a question was asked. `mark` is 0..1; `expected` is how likely it was taken to be known, None the
    first time, and where it came a second time in a day."""

    card = models.ForeignKey(Card, on_delete=models.CASCADE, related_name="reviews")
    day = models.PositiveIntegerField()
    mark = models.FloatField()
    expected = models.FloatField(null=True)


class TakenIn(models.Model):
    """A session, or an attempt at set work, whose answers are in the decks."""

    session = models.OneToOneField(LiveSession, on_delete=models.CASCADE, null=True, related_name="taken_in")
    attempt = models.OneToOneField(Attempt, on_delete=models.CASCADE, null=True, related_name="taken_in")


class Round(models.Model):
    """A round of practice: an attempt with questions of its own. `content` are they, `cards` the card of each by its
    id; `source` is what they were taken from: the deck, an attempt, or the session."""

    attempt = models.OneToOneField(Attempt, on_delete=models.CASCADE, related_name="round")
    source = models.CharField(max_length=20)
    content = models.JSONField()
    shape = models.PositiveSmallIntegerField()
    cards = models.JSONField(default=dict)
