"""Measures the live path beside a bare server, and the reports beside the bare libraries. See docs/performance.md."""
