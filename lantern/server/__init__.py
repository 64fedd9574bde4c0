"""Django around the core. Apps know the core, and each other one way only (see docs/layers.md)."""
