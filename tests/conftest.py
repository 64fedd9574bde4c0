import os
import shutil
import tempfile
from collections.abc import Iterator

import hypothesis
import pytest
from django.conf import settings

from lantern.server.accounts import patience
from lantern.server.api import limits
from tools.client import TeacherClient
from tools.server import SHARED, RealServer, with_all_tables

IS_A_FILE = settings.DATABASES["default"]["ENGINE"] == "django.db.backends.sqlite3"

# The whole run tries the same examples each time, so that it says the same of the same code; `make check` tries fewer,
# and others each time.
hypothesis.settings.register_profile("steady", derandomize=True, deadline=None)
hypothesis.settings.register_profile("wandering", derandomize=False, max_examples=30, deadline=None)
hypothesis.settings.load_profile(os.environ.get("HYPOTHESIS_PROFILE", "steady"))


def pytest_configure(config: pytest.Config) -> None:
    """A place that all processes of a run share."""
    if not hasattr(config, "workerinput"):
        os.environ[SHARED] = tempfile.mkdtemp(prefix="lantern-shared-")


def pytest_unconfigure(config: pytest.Config) -> None:
    if not hasattr(config, "workerinput"):
        shutil.rmtree(os.environ.pop(SHARED), ignore_errors=True)


@pytest.fixture(scope="session")
def django_db_keepdb() -> bool:
    """It begins with all tables: making them takes longer than most tests."""
    return IS_A_FILE


@pytest.fixture(scope="session")
def django_db_modify_db_settings(django_db_modify_db_settings_parallel_suffix: None) -> None:
    if IS_A_FILE:
        shutil.copy(with_all_tables(), settings.DATABASES["default"]["TEST"]["NAME"])


def pytest_collection_modifyitems(items: list[pytest.Item]) -> None:
    for item in items:
        if {"server", "own_server"} & set(getattr(item, "fixturenames", ())):
            item.add_marker(pytest.mark.slow)


@pytest.fixture(autouse=True)
def _no_failures_from_other_tests() -> None:
    limits.forget_all()
    patience.forget_all()


@pytest.fixture(scope="session")
def server(tmp_path_factory: pytest.TempPathFactory) -> Iterator[RealServer]:
    """One real server process for all tests that only use it: they sign up more teachers than a school does."""
    running = RealServer(tmp_path_factory.mktemp("server"), RATE_LIMITS_ON="0").start()
    yield running
    running.stop()
    # What nobody caught ends up in the log.
    assert "Traceback" not in running.log(), running.log()


@pytest.fixture
def own_server(tmp_path: object) -> Iterator[RealServer]:
    """A server of the test's own, to kill and start again."""
    running = RealServer(tmp_path / "own").start()  # type: ignore[operator]
    yield running
    if running.process and running.process.poll() is None:
        running.stop()


@pytest.fixture
def teacher(server: RealServer) -> TeacherClient:
    """A new teacher, signed in on the shared server."""
    client = TeacherClient(server.url)
    client.sign_up()
    return client
