"""Makes a backup."""

from pathlib import Path
from typing import Any

from django.conf import settings
from django.core.management.base import BaseCommand, CommandError, CommandParser

from lantern.server.config.backups import BackupFailed, make_backup


class Command(BaseCommand):
    help = "Put the database and the media into one file, also while sessions run."

    def add_arguments(self, parser: CommandParser) -> None:
        parser.add_argument("--to", type=Path, default=settings.VAR / "backups", help="the folder it is put into")

    def handle(self, *args: Any, to: Path, **options: Any) -> None:
        try:
            made = make_backup(to)
        except BackupFailed as failure:
            raise CommandError(str(failure)) from failure
        self.stdout.write(f"Made: {made} ({made.stat().st_size / 1024**2:.1f} MB)")
