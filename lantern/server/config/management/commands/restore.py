"""Brings a backup back."""

from pathlib import Path
from typing import Any

from django.core.management import call_command
from django.core.management.base import BaseCommand, CommandError, CommandParser

from lantern.server.config.backups import BackupFailed, restore_backup


class Command(BaseCommand):
    help = "Put what a backup holds in the place of what is here; that is kept beside it."
    requires_system_checks = ()

    def add_arguments(self, parser: CommandParser) -> None:
        parser.add_argument("file", type=Path)

    def handle(self, *args: Any, file: Path, **options: Any) -> None:
        try:
            before = restore_backup(file)
        except BackupFailed as failure:
            raise CommandError(str(failure)) from failure
        call_command("migrate", verbosity=0)
        self.stdout.write(f"Restored. What was here before is kept in {before}")
