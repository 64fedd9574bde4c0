"""A backup: the database and the media in one file, made while sessions run; and its way back.

1. A backup is as the database was at one moment, whole or not at all: it has its name only once all of it is on
   the disk.
2. It says of each file in it how long it is and what its digest is; whoever reads it checks all of that first, and the
   database by itself.
3. What is restored takes the place of what was there in one go: whatever dies in between, the next start of a server,
   or of a restore, finishes it, or finds everything as it was. What was there before is kept aside.
4. Nothing is restored under a running server, or by a version older than the one that made the backup.
"""

import fcntl
import hashlib
import json
import os
import shutil
import sqlite3
from collections.abc import Iterator
from contextlib import closing, contextmanager
from datetime import UTC, datetime
from itertools import count
from pathlib import Path
from tempfile import TemporaryDirectory
from typing import IO, Any
from zipfile import ZIP_STORED, BadZipFile, ZipFile

from django.conf import settings
from django.db.migrations.loader import MigrationLoader

MANIFEST, DATABASE, SECRET, MEDIA = "manifest.json", "lantern.sqlite3", "secret_key", "media"
PARTS = (f"{DATABASE}-wal", f"{DATABASE}-shm", DATABASE, MEDIA, SECRET)
"""In the order in which they change places: a journal of the old database must never meet the new one."""
NEW, MARK, SCRATCH = "restoring", "restoring.json", ".backup-"
RUNNING, BACKING_UP = "running.lock", "backup.lock"
FORMAT = 1
BLOCK = 1024 * 1024


class BackupFailed(Exception):
    """Says to whoever runs the server why."""


# --- making one ---------------------------------------------------------------------------------------


def make_backup(to: Path, now: datetime | None = None) -> Path:
    """`to` is a folder. Returns the file. Raises BackupFailed."""
    database = _database()
    to.mkdir(parents=True, exist_ok=True, mode=0o700)
    with locked(BACKING_UP, "Another backup is being made just now."):
        return _make(database, to, now)


def _make(database: Path, to: Path, now: datetime | None) -> Path:
    for left in (*to.glob("*.zip.part"), *to.glob(f"{SCRATCH}*")):  # of one that was stopped in the middle
        shutil.rmtree(left) if left.is_dir() else left.unlink()
    moment = now or datetime.now(UTC)
    target = to / f"tall-lantern-{moment:%Y%m%d-%H%M%S}.zip"
    part = target.with_name(f"{target.name}.part")
    with TemporaryDirectory(dir=to, prefix=SCRATCH) as scratch:
        media = Path(scratch) / MEDIA
        # Twice: what the database names was there before its moment, or came until it was copied.
        _link_media(media)
        copy = Path(scratch) / DATABASE
        _copy_database(database, copy)
        _link_media(media)
        files = {
            DATABASE: copy,
            SECRET: settings.VAR / SECRET,
            **{f"{MEDIA}/{name}": path for name, path in _in(media)},
        }
        _write(part, {name: path for name, path in files.items() if path.exists()}, moment)
    part.replace(target)
    _sync(to)
    return target


def _database() -> Path:
    database = settings.DATABASES["default"]
    if database["ENGINE"] != "django.db.backends.sqlite3":
        raise BackupFailed("This installation has a database server of its own: back it up with that server's tools.")
    return Path(database["NAME"])


def _copy_database(database: Path, copy: Path) -> None:
    """One moment of it, without holding up who writes."""
    with closing(sqlite3.connect(database)) as source, closing(sqlite3.connect(copy)) as made:
        source.backup(made)
        made.execute("PRAGMA journal_mode=DELETE")


def _link_media(to: Path) -> None:
    """The same files under another name: none of them ever changes, and a copy would take as long as they are large."""
    for name, path in _in(Path(settings.MEDIA_ROOT)):
        place = to / name
        place.parent.mkdir(parents=True, exist_ok=True)
        if not place.exists():
            try:
                place.hardlink_to(path)
            except FileNotFoundError:  # taken away in the meantime: nobody uses it
                continue
            except OSError:  # another disk
                shutil.copy2(path, place)


def _in(folder: Path) -> Iterator[tuple[str, Path]]:
    for path in sorted(folder.rglob("*")):
        if path.is_file():
            yield path.relative_to(folder).as_posix(), path


def _write(part: Path, files: dict[str, Path], moment: datetime) -> None:
    told = {name: {"bytes": path.stat().st_size, "sha256": _digest_of(path)} for name, path in files.items()}
    about = {"format": FORMAT, "made_at": moment.isoformat(timespec="seconds"), "files": told}
    descriptor = os.open(part, os.O_CREAT | os.O_RDWR | os.O_TRUNC, 0o600)
    with os.fdopen(descriptor, "w+b") as file:
        with ZipFile(file, "w", ZIP_STORED) as archive:
            archive.writestr(MANIFEST, json.dumps(about, indent=1))
            for name, path in files.items():
                archive.write(path, name)
        file.flush()
        os.fsync(file.fileno())


def _digest_of(path: Path) -> str:
    with path.open("rb") as file:
        return _digest(file)


def _digest(file: IO[bytes]) -> str:
    digest = hashlib.sha256()
    while block := file.read(BLOCK):
        digest.update(block)
    return digest.hexdigest()


# --- bringing one back --------------------------------------------------------------------------------


def restore_backup(file: Path) -> Path:
    """Returns where what was there before is kept. Raises BackupFailed, and then everything is as it was."""
    _database()
    with locked(RUNNING, "A server is running on this data. Stop it first (Ctrl-C), then restore."):
        finish_restoring()
        new = settings.VAR / NEW
        shutil.rmtree(new, ignore_errors=True)
        new.mkdir(mode=0o700)
        _unpack(file, new)
        _check_database(new / DATABASE)
        (new / MEDIA).mkdir(exist_ok=True)
        before = _unused(f"before-restore-{datetime.now(UTC):%Y%m%d-%H%M%S}")
        _sync_all(new)
        _write_mark({"before": before.name})
        finish_restoring()
        return before


def _unused(name: str) -> Path:
    """A name in VAR that nothing has."""
    tried = (settings.VAR / (f"{name}-{number}" if number else name) for number in count())
    return next(path for path in tried if not path.exists())


def finish_restoring() -> None:
    """Does the rest of a restore that was stopped once it had begun to change places. Nothing where there is none."""
    mark = settings.VAR / MARK
    if not mark.exists():
        return
    new = settings.VAR / NEW
    before = settings.VAR / json.loads(mark.read_text())["before"]
    before.mkdir(exist_ok=True, mode=0o700)
    if (new / DATABASE).exists():  # then what lies beside the database is still the old one's
        for name in PARTS[:2]:
            _move(_place(name), before / name)
    for name in PARTS[2:]:
        if (new / name).exists():
            _move(_place(name), before / name)
            (new / name).replace(_place(name))
            _sync(_place(name).parent)
    mark.unlink()
    shutil.rmtree(new, ignore_errors=True)


def _place(name: str) -> Path:
    if name == MEDIA:
        return Path(settings.MEDIA_ROOT)
    if name == SECRET:
        return Path(settings.VAR) / SECRET
    database = _database()
    return database.with_name(database.name + name.removeprefix(DATABASE))


def _move(old: Path, to: Path) -> None:
    if old.exists() and not to.exists():
        old.replace(to)


def _write_mark(about: dict[str, str]) -> None:
    half = settings.VAR / f"{MARK}.part"
    with half.open("w") as file:
        json.dump(about, file)
        file.flush()
        os.fsync(file.fileno())
    half.replace(settings.VAR / MARK)
    _sync(settings.VAR)


def _unpack(file: Path, to: Path) -> None:
    try:
        with ZipFile(file) as archive:
            about = json.loads(archive.read(MANIFEST))
            if about["format"] > FORMAT:
                raise BackupFailed("This backup was made by a newer version. Update the program first.")
            names = set(archive.namelist()) - {MANIFEST}
            if names != set(about["files"]) or DATABASE not in names:
                raise BackupFailed("This backup is not whole: files are missing in it.")
            for name, told in about["files"].items():
                _unpack_one(archive, name, told, to)
    except FileNotFoundError as error:
        raise BackupFailed(f"There is no file {file}.") from error
    except (BadZipFile, KeyError, ValueError, OSError, EOFError) as error:
        raise BackupFailed("This is no backup, or it is damaged.") from error


def _unpack_one(archive: ZipFile, name: str, told: dict[str, Any], to: Path) -> None:
    place = (to / name).resolve()
    if not place.is_relative_to(to.resolve()):
        raise BackupFailed("This is no backup of this program.")
    place.parent.mkdir(parents=True, exist_ok=True)
    with archive.open(name) as source, place.open("wb") as target:
        shutil.copyfileobj(source, target, BLOCK)
    if place.stat().st_size != told["bytes"] or _digest_of(place) != told["sha256"]:
        raise BackupFailed(f"This backup is damaged: {name} is not what it was.")


def _check_database(database: Path) -> None:
    try:
        with closing(sqlite3.connect(database)) as opened:
            ((sound,),) = opened.execute("PRAGMA integrity_check(1)").fetchall()
            applied = set(opened.execute("SELECT app, name FROM django_migrations"))
    except sqlite3.DatabaseError as error:
        raise BackupFailed("The database in this backup is damaged.") from error
    if sound != "ok":
        raise BackupFailed("The database in this backup is damaged.")
    unknown = applied - set(MigrationLoader(None).disk_migrations)
    if unknown:
        raise BackupFailed("This backup was made by a newer version. Update the program first.")


# --- who serves ---------------------------------------------------------------------------------------


@contextmanager
def serving() -> Iterator[None]:
    """Held by every server, however many there are."""
    with (settings.VAR / RUNNING).open("w") as file:
        fcntl.flock(file, fcntl.LOCK_SH)
        yield


@contextmanager
def locked(name: str, otherwise: str) -> Iterator[None]:
    """Raises BackupFailed, which says `otherwise`, where somebody else holds it."""
    with (settings.VAR / name).open("w") as file:
        try:
            fcntl.flock(file, fcntl.LOCK_EX | fcntl.LOCK_NB)
        except BlockingIOError as error:
            raise BackupFailed(otherwise) from error
        yield


def _sync(folder: Path) -> None:
    """So that a name in it survives a power cut."""
    descriptor = os.open(folder, os.O_RDONLY)
    try:
        os.fsync(descriptor)
    finally:
        os.close(descriptor)


def _sync_all(folder: Path) -> None:
    for path in [folder, *folder.rglob("*")]:
        descriptor = os.open(path, os.O_RDONLY)
        try:
            os.fsync(descriptor)
        finally:
            os.close(descriptor)
