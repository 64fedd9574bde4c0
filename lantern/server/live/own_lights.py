"""Lights and shells as they are kept from session to session (docs/games.md, A4, A6, A7).

1. What is kept stands by itself: no session has to be there for it, and none is read for it.
2. Shells are given by what a session has given already: giving them once more adds only what is more.
3. A part is paid for before anybody sees it.
"""

import hashlib
from collections import defaultdict
from collections.abc import Collection, Mapping

from django.db.models import F

from lantern.core.errors import NotPossible
from lantern.core.lights import bought, price_of
from lantern.core.messages import said
from lantern.core.session import State
from lantern.core.session.own_light import earned
from lantern.server.live.models import OwnLight, Person

BEFORE = 10
"""Sessions of one's own that a mean mark is compared with."""
LOOKED_AT = 40
"""Sessions, of all that anybody of these people was in, in which those are looked for."""


def of_member(person: str) -> str:
    return f"member {person}"


def of_device(school: int, key: str) -> str:
    """The key itself is kept by the device alone."""
    return f"device {hashlib.sha256(f'{school} {key}'.encode()).hexdigest()[:40]}"


def kept_light(school: int, keeper: str) -> str:
    """Empty where there is none yet."""
    return OwnLight.objects.filter(school=school, keeper=keeper).values_list("light", flat=True).first() or ""


def keeper_in(session: int, person: str) -> str:
    return Person.objects.filter(session=session, key=person).values_list("keeper", flat=True).first() or ""


def own_light(school: int, keeper: str) -> OwnLight:
    """As it is kept, or as it would begin."""
    found = OwnLight.objects.filter(school=school, keeper=keeper).first() if keeper else None
    return found or OwnLight(school_id=school, keeper=keeper)


def buy(school: int, keeper: str, light: str) -> None:
    """Whatever of this light is not free, and not theirs yet. Raises NotPossible for who has too few shells."""
    own = own_light(school, keeper)
    wanted = [part for part in bought(light) if part not in own.parts]
    if not wanted:
        return
    cost = sum(map(price_of, wanted))
    # Of two that come at once, one finds that more was spent meanwhile.
    paid = OwnLight.objects.filter(pk=own.pk, spent=own.spent, shells__gte=own.spent + cost)
    if not paid.update(parts=[*own.parts, *wanted], spent=own.spent + cost):
        raise NotPossible(said("too_few_shells", "You have too few shells for this."))


def keep(school: int, keeper: str, light: str) -> None:
    OwnLight.objects.update_or_create(school_id=school, keeper=keeper, defaults={"light": light})


def give_shells(session: int, school: int, state: State, means: Mapping[int, float | None]) -> None:
    """To everybody whose light is kept what the session has earned them, as far as they do not have it yet. `means` are
    their mean marks in it, by seat."""
    people = {person.key: person for person in Person.objects.filter(session=session).exclude(keeper="")}
    before = _means_before(session, school, {person.keeper for person in people.values()})
    lights, more = dict[str, str](), defaultdict[str, int](int)
    for seat in state.seats.values():
        person = people.get(seat.person)
        if person is None:
            continue
        lights[person.keeper] = seat.light
        shells = earned(state, seat, means.get(seat.number), before.get(person.keeper, ())).shells
        if shells > person.shells:
            more[person.keeper] += shells - person.shells
            person.shells = shells
    Person.objects.bulk_update([person for person in people.values() if person.keeper in more], ["shells"], 200)
    new = (OwnLight(school_id=school, keeper=keeper, light=light) for keeper, light in lights.items())
    OwnLight.objects.bulk_create(new, ignore_conflicts=True, batch_size=200)
    alike = defaultdict[int, list[str]](list)
    for keeper, shells in more.items():
        alike[shells].append(keeper)
    for shells, keepers in alike.items():
        OwnLight.objects.filter(school=school, keeper__in=keepers).update(shells=F("shells") + shells)


def _means_before(session: int, school: int, keepers: Collection[str]) -> Mapping[str, list[float]]:
    """Of each of these people, their mean marks in the last sessions before this one."""
    known = Person.objects.filter(session__owner__school=school, session__lt=session, keeper__in=keepers)
    known = known.exclude(mean_mark=None)
    sessions = list(known.order_by("-session").values_list("session", flat=True).distinct()[:LOOKED_AT])
    found = defaultdict[str, list[float]](list)
    rows = known.filter(session__in=sessions).order_by("-session").values_list("keeper", "mean_mark")
    for keeper, mean in rows:
        if mean is not None and len(found[keeper]) < BEFORE:
            found[keeper].append(mean)
    return found
