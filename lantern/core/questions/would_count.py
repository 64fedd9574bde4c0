"""Would this count? A typed text against a question, before anybody is asked and after."""

from collections.abc import Iterable

from lantern.core.errors import BadAnswer
from lantern.core.messages import Message, said
from lantern.core.questions import AnyAnswer, kind_of
from lantern.core.questions.content import SetContent
from lantern.core.questions.items import Item
from lantern.core.values import Value

MOST_OFFERED = 10
MOST_OF_OTHERS = 3


class Verdict(Value):
    """What becomes of `text` in one `part` of a question. `answer` is None where it fits no answer at all; `can_count`:
    it may be counted as right by a correction."""

    part: str
    text: str
    answer: AnyAnswer | None
    counts: bool
    can_count: bool
    why: Message


def verdict_on(item: Item, text: str, part: str) -> Verdict:
    """Raises BadAnswer for a part that is not typed."""
    kind = kind_of(item)
    if part not in kind.typed_parts(item):
        raise BadAnswer(said("nothing_typed_here", "Nothing is typed here."))
    answer = kind.of_text(item, text, part)
    try:
        kind.accept(item, answer)
    except BadAnswer as refused:
        return Verdict(part=part, text=text, answer=None, counts=False, can_count=False, why=refused.message)
    remark = next(iter(kind.remarks(item, answer)))
    can_count = not remark.counts and kind.accepting(item, answer, part) is not None
    return Verdict(
        part=part,
        text=text,
        answer=answer,
        counts=remark.counts,
        can_count=can_count,
        why=remark.why,
    )


def near_misses(content: SetContent, item: Item) -> tuple[Verdict, ...]:
    """What a class may type beside the right answer: slips, another dress, what other questions of the set accept."""
    tried = dict.fromkeys([*kind_of(item).near_misses(item), *_of_others(content, item)])
    return tuple(verdict_on(item, text, part) for part, text in list(tried)[:MOST_OFFERED])


def _of_others(content: SetContent, item: Item) -> Iterable[tuple[str, str]]:
    """Right answers to other questions that are typed: what a mixed-up student writes."""
    part = next(iter(kind_of(item).typed_parts(item)), None)
    others = [other for other in content.items if other.id != item.id and other.kind == item.kind]
    texts = dict.fromkeys(text for other in others for text in kind_of(other).substance(other).right_texts()[:1])
    return [(part, text) for text in texts if part is not None][:MOST_OF_OTHERS]
