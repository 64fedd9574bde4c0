"""Classes and their members. A member has no account, and no password: a place in a class list."""

import secrets

from django.conf import settings
from django.db import models

from lantern.core.classes.ordering import order_of


def new_person() -> str:
    """An opaque id of a person: told to nobody as a name, a number or an order."""
    return secrets.token_urlsafe(12)


def new_link() -> str:
    return secrets.token_urlsafe(16)


class SchoolClass(models.Model):
    """`code` is its standing code: the door to whatever is running in it. `link` is the secret part of the address by
    which students ask to be members; `joining` says what becomes of that, until the end of `joining_until`.

    `has_phrases`: each member has a pass phrase. `source` is the class's id in rosters: in
    the one it came from, or its own. `made_from` is
    the class of the year before. Names are sorted by the alphabet of `language`.
    """

    class Joining(models.TextChoices):
        CLOSED = "closed"
        ASK = "ask"  # the teacher lets them in one by one
        OPEN = "open"  # whoever has the link is in

    name = models.CharField(max_length=80)
    subject = models.CharField(max_length=80, blank=True)
    year = models.CharField(max_length=20, blank=True)
    language = models.CharField(max_length=8, default="en")
    code = models.CharField(max_length=16, unique=True)
    link = models.CharField(max_length=40, unique=True, default=new_link)
    joining = models.CharField(max_length=8, choices=Joining.choices, default=Joining.CLOSED)
    joining_until = models.DateField(null=True, blank=True)
    has_phrases = models.BooleanField(default=False)
    source = models.CharField(max_length=200, default=new_person, db_index=True)
    made_from = models.ForeignKey("self", on_delete=models.SET_NULL, null=True, blank=True, related_name="next_years")
    teachers = models.ManyToManyField(settings.AUTH_USER_MODEL, related_name="classes")
    created_at = models.DateTimeField(auto_now_add=True)
    archived_at = models.DateTimeField(null=True, blank=True)

    def in_order(self) -> "list[Member]":
        """Those who are members now, as a list sorts them."""
        by_name = order_of(self.language)
        return sorted(self.members.filter(left_at=None), key=lambda one: (by_name(one.sort_name), one.pk))


class Member(models.Model):
    """`person` is who it is: the same in the class of the next year, so that a history goes on. `record_key` is what
    two ways of writing a record ID have in common. Who has left stays, for the history's sake, and can come back."""

    of_class = models.ForeignKey(SchoolClass, on_delete=models.CASCADE, related_name="members")
    person = models.CharField(max_length=40, default=new_person, db_index=True)
    name = models.CharField(max_length=80)
    sort_name = models.CharField(max_length=80)
    record_id = models.CharField(max_length=100, blank=True)
    record_key = models.CharField(max_length=100, blank=True, db_index=True)
    group = models.CharField(max_length=40, blank=True, default="")
    keypads = models.JSONField(default=list)
    notes = models.TextField(blank=True)
    needs = models.JSONField(default=dict)
    phrase = models.CharField(max_length=60, blank=True)
    created_at = models.DateTimeField(auto_now_add=True)
    left_at = models.DateTimeField(null=True, blank=True)

    class Meta:
        constraints = (
            models.UniqueConstraint(fields=["of_class", "person"], name="one_member_a_person"),
            models.UniqueConstraint(
                fields=["of_class", "record_key"],
                condition=~models.Q(record_key="") & models.Q(left_at=None),
                name="one_member_a_record_id",
            ),
            models.UniqueConstraint(
                fields=["of_class", "phrase"], condition=~models.Q(phrase=""), name="one_member_a_phrase"
            ),
        )


class JoinRequest(models.Model):
    """Somebody who asks to be a member, from a device that is known by its `key`."""

    of_class = models.ForeignKey(SchoolClass, on_delete=models.CASCADE, related_name="requests")
    key = models.CharField(max_length=40)
    name = models.CharField(max_length=80)
    record_id = models.CharField(max_length=100, blank=True)
    asked_at = models.DateTimeField(auto_now_add=True)
    member = models.ForeignKey(Member, on_delete=models.CASCADE, null=True, blank=True, related_name="requests")
    turned_away = models.BooleanField(default=False)

    class Meta:
        constraints = (models.UniqueConstraint(fields=["of_class", "key"], name="one_request_a_device"),)
