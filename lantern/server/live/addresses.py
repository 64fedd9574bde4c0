"""E-mail addresses that are given as record IDs, confirmed by a message with a link.

1. Who comes in is not held up: a report says whether the address is confirmed.
2. The link says nothing of the address, and is opened by a press, not by a mail program's look.
3. Nobody's mailbox is filled: so many messages an hour go to one address, and from one place.
"""

from django.utils import timezone

from lantern.core.classes.record_ids import record_key
from lantern.core.classes.school import is_address
from lantern.core.languages import written_to
from lantern.core.messages import said
from lantern.server.api import limits
from lantern.server.api.errors import BadForm
from lantern.server.live.models import CheckedAddress, LiveSession
from lantern.server.services.mail import send


def ask_to_confirm(session: LiveSession, record_id: str, base: str, from_address: str, language: str) -> None:
    """Sends the message, where the school wants it and it was not confirmed before; in the language of the device that
    joins."""
    school, key = session.owner.school, record_key(record_id)
    if not school.chosen.confirm_mail or not is_address(key):
        return
    check, _ = CheckedAddress.objects.get_or_create(school=school, record_key=key)
    if check.confirmed_at is not None:
        return
    if not limits.within(limits.MAILS_TO_ONE, str(school.pk), key):
        return
    if not limits.within(limits.MAILS_FROM_ONE, from_address):
        return
    link = f"{base}/confirm/{check.secret}"
    subject = said("mail_confirm_subject", "Is this your address?")
    text = said(
        "mail_confirm",
        "Hello,\n\nsomebody gave this address as their record ID in a session of {teacher}. Was it you? "
        "Then confirm it here:\n\n{link}\n\nIf it was not you, do nothing.\n",
        teacher=session.owner.name,
        link=link,
    )
    send(school.pk, key, subject, text, written_to(language, school.chosen.languages, session.owner.language))


def confirm(secret: str) -> None:
    """Raises BadForm for a link that this server did not send."""
    found = CheckedAddress.objects.filter(secret=secret)
    if not found.exists():
        raise BadForm(said("confirm_link_not_good", "This link is not whole. Open it from the message once more."))
    found.filter(confirmed_at=None).update(confirmed_at=timezone.now())


def confirmed_in(session: LiveSession, record_ids: list[str]) -> dict[str, bool]:
    """Of the addresses among these, whether each is confirmed; nothing where the school does not ask for it."""
    school = session.owner.school
    if not school.chosen.confirm_mail:
        return {}
    keys = {one: record_key(one) for one in record_ids if is_address(one)}
    checked = CheckedAddress.objects.filter(school=school, record_key__in=keys.values()).exclude(confirmed_at=None)
    known = set(checked.values_list("record_key", flat=True))
    return {one: key in known for one, key in keys.items()}
