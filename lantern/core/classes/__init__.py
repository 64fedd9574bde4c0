"""Who a student is: join codes now; classes, identity rules and groups build on it."""
