"""The product's settings, with a database that is a file (threads share it) and quick passwords."""

import os
import tempfile
from pathlib import Path

os.environ.setdefault("LANTERN_VAR", tempfile.mkdtemp(prefix="lantern-test-"))
os.environ.setdefault("PLAIN_HTTP", "1")

from lantern.server.config.settings import *  # noqa: F403
from lantern.server.config.settings import DATABASES, VAR

if DATABASES["default"]["ENGINE"] == "django.db.backends.sqlite3":
    DATABASES["default"]["TEST"] = {"NAME": str(Path(VAR) / "test.sqlite3")}
PASSWORD_HASHERS = ["django.contrib.auth.hashers.MD5PasswordHasher"]
STORAGES = {
    "default": {"BACKEND": "django.core.files.storage.FileSystemStorage"},
    "staticfiles": {"BACKEND": "django.contrib.staticfiles.storage.StaticFilesStorage"},
}
SIGN_UP = "open"
RUNS_ASIDE = False
TASKS = {"default": {"BACKEND": "django_tasks.backends.immediate.ImmediateBackend"}}
