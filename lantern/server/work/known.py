"""What an answer in a round of practice says of how well something is known."""

from collections.abc import Sequence

from lantern.core.practice.schedule import day_of
from lantern.core.session import Recorded, State
from lantern.core.session import events as e
from lantern.server.live.models import Attempt
from lantern.server.practice.decks import practised
from lantern.server.practice.models import Round
from lantern.server.work.pieces import Doer, school_of


def keep_what_was_known(doer: Doer, attempt: Attempt, state: State, news: Sequence[Recorded]) -> None:
    """The first answer to each question moves its card; how it went when it came back within the round does not."""
    first = [
        (recorded.at, state.asks[recorded.event.ask])
        for recorded in news
        if isinstance(recorded.event, e.Answered)
        and state.standing.get(_item_of(state, recorded)) == recorded.event.ask
    ]
    if not first:
        return
    cards, zone = Round.objects.get(attempt=attempt.pk).cards, school_of(doer.piece).time_zone
    for at, ask in first:
        response = ask.responses.get(attempt.seat)
        card = cards.get(ask.item_id)
        if card is not None and response is not None and response.mark is not None:
            practised(card, response.mark, day_of(at, zone))


def _item_of(state: State, recorded: Recorded) -> str:
    assert isinstance(recorded.event, e.Answered)
    return state.asks[recorded.event.ask].item_id
