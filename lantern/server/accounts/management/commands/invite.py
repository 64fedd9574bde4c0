"""Makes a link with which one account can be made."""

from typing import Any

from django.conf import settings
from django.core.management.base import BaseCommand, CommandParser

from lantern.server.accounts.invitations import invite, link


class Command(BaseCommand):
    help = "Print a link with which one teacher can make an account, once, within a week."

    def add_arguments(self, parser: CommandParser) -> None:
        parser.add_argument("--url", default=settings.PUBLIC_URL or "http://127.0.0.1:8000", help="where the server is")

    def handle(self, *args: Any, url: str, **options: Any) -> None:
        self.stdout.write(link(url.rstrip("/"), invite()))
