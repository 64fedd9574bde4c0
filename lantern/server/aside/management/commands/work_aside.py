"""Makes what is made aside; the server starts it by itself."""

from typing import Any

from django.core.management.base import BaseCommand, CommandParser

from lantern.server.aside.worker import work_for


class Command(BaseCommand):
    help = "Make what is made aside, until there is nothing more to do. The server starts this by itself."

    def add_arguments(self, parser: CommandParser) -> None:
        parser.add_argument("server", type=int, help="the process it works for")

    def handle(self, *args: Any, server: int, **options: Any) -> None:
        work_for(server)
