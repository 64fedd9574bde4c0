"""Mail goes by Django's own interface. EMAIL_URL names a server for it (`smtp://…`); without one, a backend that ships
keeps what is sent in an outbox, which a keeper of the school reads in the application."""

import smtplib
from collections.abc import Sequence
from dataclasses import dataclass

from django.core.mail import EmailMessage

from lantern.core.languages import Language
from lantern.core.messages import Explained, Message, said
from lantern.core.words import in_language

SCHOOL = "X-Lantern-School"
"""The header that says for which school a message was sent."""
LARGEST = 15 * 1024 * 1024
"""Bytes of files with one message: more is turned away by many."""


class MailFailed(Explained):
    """The message could not be sent."""


@dataclass(frozen=True, slots=True)
class Attached:
    name: str
    content_type: str
    content: bytes


def send(
    school: int,
    to: str,
    subject: Message,
    text: Message,
    language: Language,
    files: Sequence[Attached] = (),
    reply_to: str = "",
) -> None:
    """In the language of who reads it. Raises MailFailed."""
    if sum(len(file.content) for file in files) > LARGEST:
        raise MailFailed(
            said("mail_too_large", "This is more than {most} MB, too much for a mail.", most=LARGEST // 1024**2)
        )
    mail = EmailMessage(
        in_language(subject, language),
        in_language(text, language),
        to=[to],
        headers={SCHOOL: str(school)},
        attachments=[(file.name, file.content, file.content_type) for file in files],
        reply_to=[reply_to] if reply_to else None,
    )
    try:
        mail.send()
    except (OSError, smtplib.SMTPException) as error:
        raise MailFailed(said("mail_not_sent", "The mail server did not take a message.")) from error
