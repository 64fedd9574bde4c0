"""A mail service that delivers to nobody: what is sent lies in an outbox, for a demo, a trial and tests alike."""

from collections.abc import Sequence

from django.core.mail import EmailMessage
from django.core.mail.backends.base import BaseEmailBackend

from lantern.server.services.mail import SCHOOL
from lantern.server.services.models import SentFile, SentMail

KEPT = 500


class Outbox(BaseEmailBackend):
    def send_messages(self, email_messages: Sequence[EmailMessage]) -> int:
        for one in email_messages:
            kept = SentMail.objects.create(
                school=int(one.extra_headers.get(SCHOOL, 0)),
                to=", ".join(one.recipients()),
                subject=str(one.subject)[:200],
                text=str(one.body),
                reply_to=", ".join(one.reply_to),
            )
            SentFile.objects.bulk_create(
                SentFile(mail=kept, name=str(name)[:200], content_type=content_type or "", content=content)
                for name, content, content_type in one.attachments
            )
        old = SentMail.objects.order_by("-pk").values_list("pk", flat=True)[KEPT : KEPT + 1]
        SentMail.objects.filter(pk__lte=max(old, default=0)).delete()
        return len(email_messages)
