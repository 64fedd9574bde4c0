from typing import Any


def pytest_terminal_summary(terminalreporter: Any) -> None:
    """What tests measured: shares understood, and the like."""
    for report in terminalreporter.stats.get("passed", []):
        for name, text in report.user_properties:
            if name == "report":
                terminalreporter.write_line(text)
