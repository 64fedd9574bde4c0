"""Who goes into which team (docs/games.md, V1 to V5)."""

from random import Random
from statistics import fmean

from hypothesis import given
from hypothesis import strategies as st

from lantern.core.games.contract import Newcomer
from lantern.core.games.teams import dealt, place_for, smallest

marks = st.none() | st.floats(0, 1)


def placed(made, comers, teams=3, *, begun=False):
    """The team of each who comes in, one after the other: their groups, or "" for none."""
    sizes, groups, found = [0] * teams, (), []
    for player, group in enumerate(comers):
        team, groups = place_for(made, sizes, Newcomer(player, Random(player), group), groups, begun=begun)
        found.append(team)
        if team is not None:
            sizes[team] += 1
    return found


@given(st.lists(st.integers(0, 9), min_size=1, max_size=20))
def test_the_smallest_is_the_first_of_equal_ones_v1(sizes):
    assert sizes[smallest(sizes)] == min(sizes)
    assert smallest(sizes) == sizes.index(min(sizes))
    assert sizes[smallest(sizes, Random(1))] == min(sizes)


def test_who_has_the_same_group_is_in_the_same_team_v3():
    comers = ["Bow", "Stern", "bow", "Stern", "Mast", "BOW", "Keel", "", "Stern"]
    assert placed("listed", comers) == [0, 1, 0, 1, 2, 0, 2, 1, 1]
    assert placed("listed", comers, begun=True) == placed("listed", comers)


@given(st.lists(st.sampled_from(("Bow", "Stern", "Mast")), max_size=40))
def test_groups_are_kept_together_however_many_come_and_in_any_order_v3(comers):
    found = placed("listed", comers)
    assert len({(group, team) for group, team in zip(comers, found, strict=True)}) == len(set(comers))


def test_who_waits_until_it_begins_is_in_no_team_before_v2_v4():
    for made in ("chosen", "balanced"):
        assert placed(made, ["", ""]) == [None, None]
        assert placed(made, ["", ""], begun=True) == [0, 1]


@given(st.lists(marks, max_size=60), st.integers(2, 8), st.integers(0, 9))
def test_balanced_teams_are_of_one_size_and_each_is_dealt_in_turn_v4(known, teams, seed):
    found = dealt("balanced", [0] * teams, dict(enumerate(known)), Random(seed))
    sizes = [list(found.values()).count(team) for team in range(teams)]
    assert sum(sizes) == len(known)
    assert max(sizes) - min(sizes) <= 1
    # In no round of the dealing does a team get anybody better than the worst of the round before.
    of = sorted(known, key=lambda mark: -(_usual(known) if mark is None else mark))
    first = {_usual(known) if mark is None else mark for mark in of[:teams]}
    best = [
        max((_mark(known, player) for player, t in found.items() if t == team), default=None) for team in range(teams)
    ]
    assert {mark for mark in best if mark is not None} == first


def test_balanced_teams_are_nearly_equal_where_players_are_not_v4():
    known = dict(enumerate((0.95, 0.9, 0.85, 0.6, 0.55, 0.5, 0.3, 0.2, 0.1, None, 0.5, 0.5)))
    found = dealt("balanced", [0, 0, 0], known, Random(4))
    usual = fmean(mark for mark in known.values() if mark is not None)
    means = [
        fmean(usual if known[player] is None else known[player] for player, t in found.items() if t == team)
        for team in range(3)
    ]
    assert max(means) - min(means) < 0.06


def test_chance_deals_those_who_are_equal_v4():
    known = dict.fromkeys(range(6))
    assert len({tuple(dealt("balanced", [0, 0], known, Random(seed)).items()) for seed in range(9)}) > 3


def test_those_who_have_chosen_are_counted_before_others_are_dealt_v2():
    assert dealt("chosen", [2, 0, 1], {7: None, 8: None, 9: None}, Random(1)) == {7: 1, 8: 1, 9: 2}


def _usual(known):
    found = [mark for mark in known if mark is not None]
    return fmean(found) if found else 0.5


def _mark(known, player):
    return _usual(known) if known[player] is None else known[player]
