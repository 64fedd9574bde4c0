"""Mail goes by Django's own interface. EMAIL_URL names a server for it (`smtp://…`); without one, a backend that ships
keeps what is sent in an outbox, which a keeper of the school reads in the application."""

from django.core.mail import EmailMessage

from lantern.core.messages import Message

SCHOOL = "X-Lantern-School"
"""The header that says for which school a message was sent."""


def send(school: int, to: str, subject: Message, text: Message) -> None:
    EmailMessage(subject.sentence, text.sentence, to=[to], headers={SCHOOL: str(school)}).send()
