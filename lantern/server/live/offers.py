"""What the run dialog is told: how a set may be run, how it was run last, and what would come of it."""

from collections import Counter
from collections.abc import Sequence
from statistics import median

from django.utils import timezone

from lantern.core.games import GAMES, board_game_of
from lantern.core.messages import said
from lantern.core.questions import kind_of
from lantern.core.questions.items import Item
from lantern.core.session.glimpse import Glimpse, glimpse
from lantern.core.session.manners import MANNERS, SWITCHES, Planned, misfit, planned, settings_for, settings_for_game
from lantern.core.session.settings import Manner, Settings, Timing
from lantern.core.session.stored import read_settings
from lantern.server.accounts.models import Teacher
from lantern.server.api.errors import BadForm
from lantern.server.classes.models import SchoolClass
from lantern.server.library.models import QuestionSet
from lantern.server.library.queries import content_of
from lantern.server.live.clock import now_ms
from lantern.server.live.models import LiveSession, Preset
from lantern.server.live.schemas import GameOffer, PresetInfo, RunOffer, Switched, TopicCount, Unprepared

LAST_SESSIONS = 5
"""That tell how long an answer usually takes."""


def run_offer(teacher: Teacher, question_set: QuestionSet) -> RunOffer:
    run = LiveSession.objects.filter(owner=teacher, revision__set=question_set, is_work=False)
    last = run.first()  # the newest
    items = content_of(question_set).items
    asked = [item for item in items if kind_of(item).is_asked]
    topics = Counter(tag for item in asked for tag in dict.fromkeys(item.tags))
    start = Settings(known=teacher.school.chosen.known)
    return RunOffer(
        start=start,
        last=read_settings(last.settings_shape, last.settings) if last else None,
        last_class=last.of_class_id if last else None,
        switched=tuple(
            Switched(manner=manner, answers=answers, settings=settings_for(manner, answers, start))
            for manner, answers in SWITCHES
        ),
        games=tuple(
            _game_offer(game.name if game else "", manner, chosen, items)
            for game in (None, *GAMES)
            for manner in MANNERS
            if game is None or manner in game.manners
            if (chosen := settings_for_game(game, manner, start)).is_played == bool(game)
        ),
        presets=tuple(preset_info(preset) for preset in Preset.objects.filter(owner=teacher)),
        topics=tuple(TopicCount(topic=topic, questions=count) for topic, count in sorted(topics.items())),
        questions=len(asked),
    )


def _game_offer(game: str, manner: Manner, chosen: Settings, items: Sequence[Item]) -> GameOffer:
    plan = planned(items, chosen)
    return GameOffer(game=game, manner=manner, settings=chosen, played=plan.played, pairs=plan.pairs)


def preset_info(preset: Preset) -> PresetInfo:
    return PresetInfo(id=preset.pk, name=preset.name, settings=read_settings(preset.shape, preset.settings))


def plan_of(teacher: Teacher, question_set: QuestionSet, settings: Settings, of_class: int | None) -> Planned:
    return planned(content_of(question_set).items, settings, usual_pace(teacher, of_class))


def glimpse_of(question_set: QuestionSet, settings: Settings) -> Glimpse:
    """Raises BadForm for what cannot be run so."""
    anybody = settings.model_copy(update={"known": "nickname", "time": Timing(of="none")})
    check_settings(question_set, anybody, None)
    return glimpse(content_of(question_set), anybody, now_ms())


def usual_pace(teacher: Teacher, of_class: int | None) -> float | None:
    """How many seconds an answer took in the teacher's last sessions with this class, or with anybody."""
    ended = LiveSession.objects.filter(owner=teacher).exclude(summary=None)
    for sessions in (ended.filter(of_class=of_class) if of_class else ended.none(), ended):
        summaries = sessions.values_list("summary", flat=True)[:LAST_SESSIONS]
        found = [summary["pace"] for summary in summaries if summary and summary.get("pace")]
        if found:
            return median(found)
    return None


def check_settings(question_set: QuestionSet, settings: Settings, of_class: SchoolClass | None) -> None:
    """Raises BadForm, at its place, for what cannot be run so."""
    _check_known(settings, of_class)
    items = content_of(question_set).items
    if reason := misfit(settings):
        raise BadForm(reason, field="game")
    plan = planned(items, settings)
    if board_game_of(settings.game) and not plan.played:
        raise BadForm(said("no_question_played", "No question of this set counts in a game."), field="game")
    if any(kind_of(item).is_asked for item in items) and not plan.questions:
        raise BadForm(said("no_question_chosen", "No question of this set is of these topics."), field="topics")
    if settings.is_own_pace and settings.time.of == "clock":
        until = settings.time.until
        if until is None or until <= timezone.now().timestamp() * 1000:
            raise BadForm(said("time_is_past", "Choose a time that is still to come."), field="until")


def unprepared_offer(teacher: Teacher) -> Unprepared:
    """How a session with nothing prepared begins: as the teacher's last one, or as a teacher leads usually."""
    last = LiveSession.objects.filter(owner=teacher, revision=None).first()
    if last:
        return Unprepared(settings=read_settings(last.settings_shape, last.settings), of_class=last.of_class_id)
    usual = settings_for("led", "final", Settings(known=teacher.school.chosen.known))
    return Unprepared(settings=usual, of_class=None)


def check_unprepared(title: str, settings: Settings, of_class: SchoolClass | None, *, later: bool) -> None:
    """Raises BadForm, at its place, for what cannot be begun with nothing prepared."""
    if not title.strip():
        raise BadForm(said("session_title_wanted", "Give the session a title."), field="title")
    if settings.is_own_pace or later:
        raise BadForm(
            said("nothing_to_work_on", "With nothing prepared you lead, and ask as you go."), field="settings"
        )
    _check_known(settings, of_class)


def _check_known(settings: Settings, of_class: SchoolClass | None) -> None:
    if settings.known == "list" and of_class is None:
        raise BadForm(
            said("list_of_no_class", "Choose a class, so that there is a list to pick from."), field="of_class"
        )
