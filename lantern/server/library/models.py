from django.conf import settings
from django.db import models

from lantern.core.questions.stored import ABOUT, CONTENT, ITEM


def about_shape() -> int:
    return ABOUT.latest


def item_shape() -> int:
    return ITEM.latest


def content_shape() -> int:
    return CONTENT.latest


class Folder(models.Model):
    """A place for sets, inside another or at the top."""

    owner = models.ForeignKey(settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="folders")
    parent = models.ForeignKey("self", on_delete=models.CASCADE, null=True, blank=True, related_name="inside")
    name = models.CharField(max_length=100)


class QuestionSet(models.Model):
    """A set as it is being written. `version` rises with every change.

    `about` is the core's About as JSON, in the version `about_shape`. A deleted set lies in the recycle bin until
    `purged_at`; the row stays for the sessions that ran it. `search_text` is the case-folded text of title and items:
    SQLite folds ASCII only. `is_private`: its media are served to nobody who only has their address.
    """

    owner = models.ForeignKey(settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="sets")
    title = models.CharField(max_length=200, blank=True)
    about = models.JSONField(default=dict)
    about_shape = models.PositiveSmallIntegerField(default=about_shape)
    folder = models.ForeignKey(Folder, on_delete=models.SET_NULL, null=True, blank=True, related_name="sets")
    made_from = models.ForeignKey("self", on_delete=models.SET_NULL, null=True, blank=True, related_name="variants")
    version = models.PositiveIntegerField(default=1)
    search_text = models.TextField(blank=True)
    is_private = models.BooleanField(default=False)
    last_run_at = models.DateTimeField(null=True, blank=True)
    created_at = models.DateTimeField(auto_now_add=True)
    updated_at = models.DateTimeField()
    deleted_at = models.DateTimeField(null=True, blank=True)
    purged_at = models.DateTimeField(null=True, blank=True)

    class Meta:
        indexes = (models.Index(fields=["owner", "deleted_at", "-updated_at"]),)


class SetItem(models.Model):
    """One item. `body` is the core's item as JSON, in the version `shape`; so a new kind needs no migration.

    `version` rises with every change of this item: two windows may change two items at once, and a
    change made on an older version of the same item is noticed.
    """

    set = models.ForeignKey(QuestionSet, on_delete=models.CASCADE, related_name="items")
    key = models.CharField(max_length=40)
    position = models.PositiveIntegerField()
    version = models.PositiveIntegerField(default=1)
    body = models.JSONField()
    shape = models.PositiveSmallIntegerField(default=item_shape)

    class Meta:
        ordering = ("position", "id")
        constraints = (models.UniqueConstraint(fields=["set", "key"], name="one_item_a_key"),)


class Revision(models.Model):
    """A set as it was at one version: what a session runs, and what can be brought back. `shape` is the version in
    which `content` is stored."""

    set = models.ForeignKey(QuestionSet, on_delete=models.CASCADE, related_name="revisions")
    version = models.PositiveIntegerField()
    content = models.JSONField()
    shape = models.PositiveSmallIntegerField(default=content_shape)
    created_at = models.DateTimeField(auto_now_add=True)

    class Meta:
        constraints = (models.UniqueConstraint(fields=["set", "version"], name="one_revision_a_version"),)
