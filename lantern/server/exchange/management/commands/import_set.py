"""Brings a file in as a set, for those who automate."""

from pathlib import Path
from typing import Any

from django.core.management.base import BaseCommand, CommandError, CommandParser

from lantern.core.errors import LanternError
from lantern.core.formats.exchange import Source
from lantern.server.accounts.models import Teacher
from lantern.server.exchange import actions
from lantern.server.exchange.schemas import ToAdd


class Command(BaseCommand):
    help = "Bring a file in as a new set. Unless --partly is given, nothing is kept if anything was not understood."

    def add_arguments(self, parser: CommandParser) -> None:
        parser.add_argument("file", type=Path)
        parser.add_argument("--teacher", required=True, metavar="EMAIL", help="whose set it becomes")
        parser.add_argument("--title", default="", help="the set's title, if not the file's own")
        parser.add_argument("--partly", action="store_true", help="keep what was understood, leave out the rest")

    def handle(self, *args: Any, file: Path, teacher: str, title: str, partly: bool, **options: Any) -> None:
        owner = Teacher.objects.filter(email=teacher).first()
        if owner is None:
            raise CommandError(f"There is no teacher with the address {teacher}.")
        if not file.is_file():
            raise CommandError(f"There is no file {file}.")
        try:
            found = actions.read(owner, Source(file.name, file.read_bytes()), "")
        except LanternError as error:
            raise CommandError(error.sentence) from error
        for note in found.notes:
            self.stderr.write(str(note))
        for entry in found.entries:
            for sentence in entry.sentences:
                self.stderr.write(f"{entry.place}: {sentence}")
        items = tuple(entry.item for entry in found.entries if entry.item)
        missed = len(found.entries) - len(items)
        if not items or (missed and not partly):
            raise CommandError(f"{missed} of {len(found.entries)} entries were not understood. Nothing was kept.")
        wanted = ToAdd(title=title or found.title, about=found.about, items=items)
        try:
            made = actions.add(owner, wanted, found.media)
        except LanternError as error:
            raise CommandError(error.sentence) from error
        self.stdout.write(f"Set {made.pk}, “{made.title}”, with {len(items)} items.")
