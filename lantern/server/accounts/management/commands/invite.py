"""Makes a link with which one account can be made."""

from typing import Any

from django.conf import settings
from django.core.management.base import BaseCommand, CommandParser

from lantern.server.accounts.invitations import invite, link, the_only_school


class Command(BaseCommand):
    help = (
        "Print a link with which one teacher can make an account, once, within a week: in the school that is here, or "
        "in a new one."
    )

    def add_arguments(self, parser: CommandParser) -> None:
        parser.add_argument(
            "--new-school", action="store_true", help="the account is the keeper of a school of its own"
        )
        parser.add_argument("--url", default=settings.PUBLIC_URL or "http://127.0.0.1:8000", help="where the server is")

    def handle(self, *args: Any, url: str, new_school: bool, **options: Any) -> None:
        school = None if new_school else the_only_school()
        self.stdout.write(link(url.rstrip("/"), invite(school)))
