"""How much one device may say: a bucket that fills at a steady rate (a token bucket)."""

from dataclasses import dataclass


@dataclass(slots=True)
class Budget:
    """`rate` messages a second in the long run, `burst` at once. Times are seconds of any one clock."""

    rate: float
    burst: float
    spent: float = 0.0
    at: float = 0.0

    def take(self, now: float, cost: float = 1.0) -> float:
        """Spends; returns the seconds to wait before the next message, 0 within the budget."""
        self.spent = max(0.0, self.spent - (now - self.at) * self.rate) + cost
        self.at = now
        return max(0.0, (self.spent - self.burst) / self.rate)
