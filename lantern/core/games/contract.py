"""What a game is: it stands below the session and knows players, marks and moments, never what was asked.

1. A game is told marks and gives what they earn. Marks it never changes: grades read marks alone.
2. It is pure: the same plays earn the same.
3. What an answer earns is kept with it. Where its mark is corrected afterwards, the game is asked again.
4. Its settings are one shape, named by `game`, and stored with the session's.
"""

from typing import Generic, NamedTuple, Protocol, TypeVar

from lantern.core.values import Value


class GameSettings(Value):
    """What a teacher chooses for a game. `game` is its name."""

    game: str


class Play(NamedTuple):
    """An answer as a game is told of it: its mark 0..1, what its question counts, the share of the time that was
    left for it, 0..1, or None where there is no limit, and how many right ones in a row came before it."""

    mark: float
    weight: int
    left: float | None
    run: int = 0


class Gain(NamedTuple):
    """What an answer earns: `points` in all, of which `bonus` for being early, and `for_run` for right ones in a
    row."""

    points: int
    bonus: int
    for_run: int = 0


NOTHING = Gain(0, 0)

Chosen = TypeVar("Chosen", bound=GameSettings, contravariant=True)


class Game(Protocol, Generic[Chosen]):
    """`settings` is the shape of what is chosen for it."""

    name: str

    @property
    def settings(self) -> type[GameSettings]: ...

    def wants_time(self, chosen: Chosen) -> bool:
        """Whether it looks at the time that was left."""

    def wants_runs(self, chosen: Chosen) -> bool:
        """Whether it looks at right answers in a row."""

    def gain(self, chosen: Chosen, play: Play) -> Gain:
        """What this answer earns."""
