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
        left = self.spent - (now - self.at) * self.rate
        self.spent, self.at = (left if left > 0 else 0.0) + cost, now
        return 0.0 if self.spent <= self.burst else (self.spent - self.burst) / self.rate
