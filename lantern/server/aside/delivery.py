"""Where what was made goes: it can be fetched in any case, and is mailed or kept in a folder besides."""

from typing import Literal

from lantern.core.messages import said
from lantern.core.values import Value
from lantern.server.accounts.models import Teacher
from lantern.server.api.downloads import file_name
from lantern.server.aside.work import Made
from lantern.server.services import mail
from lantern.server.services.folder import folder_service

Way = Literal["download", "mail", "folder"]


class Outgoing(Value):
    """What every work that makes a file is asked with: `title` is what it is called."""

    title: str
    to: Way = "download"


def delivered(teacher: Teacher, wanted: Outgoing, made: Made) -> Made:
    """Raises MailFailed, FolderFailed."""
    name = file_name(wanted.title, made.suffix)
    if wanted.to == "mail":
        mail.send(
            teacher.school_id,
            teacher.email,
            said("mail_made_subject", "Tall Lantern: {title}", title=wanted.title),
            said(
                "mail_made_text",
                "Hello {name},\n\nhere is what you asked for: {title}.\n",
                name=teacher.name,
                title=wanted.title,
            ),
            teacher.spoken,
            [mail.Attached(name, made.content_type, made.content)],
        )
    if wanted.to == "folder":
        folder_service().put(folder_of(teacher), name, made.content)
    return made


def folder_of(teacher: Teacher) -> str:
    """A teacher's own: the number keeps those of two who are called alike apart."""
    return file_name(f"{teacher.name} {teacher.pk}", "")
