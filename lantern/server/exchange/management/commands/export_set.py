"""Writes a set into a file, for those who automate."""

from pathlib import Path
from typing import Any

from django.core.management.base import BaseCommand, CommandError, CommandParser

from lantern.core.formats.registry import WRITERS
from lantern.server.exchange import actions
from lantern.server.library.models import QuestionSet
from lantern.server.library.queries import content_of


class Command(BaseCommand):
    help = "Write a set into a file. What the format cannot say is listed."

    def add_arguments(self, parser: CommandParser) -> None:
        parser.add_argument("set", type=int, help="the set's number, as in its address")
        parser.add_argument("file", type=Path)
        parser.add_argument("--format", choices=[one.name for one in WRITERS], help="else by the file's ending")

    def handle(self, *args: Any, set: int, file: Path, format: str | None, **options: Any) -> None:
        question_set = QuestionSet.objects.filter(pk=set, deleted_at=None).first()
        if question_set is None:
            raise CommandError(f"There is no set {set}.")
        form = next((w for w in WRITERS if w.name == format or (not format and file.name.endswith(w.suffix))), None)
        if form is None:
            raise CommandError(f"No format ends like {file.name}. Choose one with --format.")
        for sentence in form.left_out(content_of(question_set)):
            self.stderr.write(str(sentence))
        file.write_bytes(actions.write(question_set, form))
        self.stdout.write(f"“{question_set.title}” is in {file}.")
