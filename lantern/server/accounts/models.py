"""Schools and their teachers. Students have no account: they have a seat in a session."""

from typing import Any, ClassVar

from django.contrib.auth.base_user import AbstractBaseUser, BaseUserManager
from django.contrib.auth.models import PermissionsMixin
from django.db import models

from lantern.core.classes.school import SchoolSettings
from lantern.core.languages import TeacherLanguage


class School(models.Model):
    """One school of those on this installation; none sees anything of another. `settings` are the core's, as JSON."""

    name = models.CharField(max_length=120, blank=True)
    settings = models.JSONField(default=dict)
    created_at = models.DateTimeField(auto_now_add=True)

    @property
    def chosen(self) -> SchoolSettings:
        return SchoolSettings.model_validate(self.settings)


class TeacherManager(BaseUserManager["Teacher"]):
    def create_user(
        self, email: str, password: str, name: str, school: School | None = None, **extra: Any
    ) -> "Teacher":
        """Without a school it is the keeper of a new one."""
        role = Teacher.Role.TEACHER if school else Teacher.Role.KEEPER
        place = {"school": school or School.objects.create(), "role": role}
        teacher = self.model(email=self.normalize_email(email).lower(), name=name, **(place | extra))
        teacher.set_password(password)
        teacher.save()
        return teacher

    def create_superuser(self, email: str, password: str, name: str, **extra: Any) -> "Teacher":
        return self.create_user(email, password, name, is_staff=True, is_superuser=True, **extra)


class Teacher(AbstractBaseUser, PermissionsMixin):
    """`role`: a keeper of the school invites colleagues and decides for the school; a keeper teaches, too. `language`
    is what the pages speak; empty: that of the device."""

    class Role(models.TextChoices):
        TEACHER = "teacher"
        KEEPER = "keeper"

    school = models.ForeignKey(School, on_delete=models.PROTECT, related_name="teachers")
    role = models.CharField(max_length=8, choices=Role.choices, default=Role.TEACHER)
    email = models.EmailField(unique=True)
    name = models.CharField(max_length=80)
    language = models.CharField(max_length=8, blank=True)
    is_active = models.BooleanField(default=True)
    is_staff = models.BooleanField(default=False)
    joined_at = models.DateTimeField(auto_now_add=True)

    USERNAME_FIELD = "email"
    REQUIRED_FIELDS: ClassVar = ["name"]
    objects: ClassVar[TeacherManager] = TeacherManager()

    def __str__(self) -> str:
        return self.name

    @property
    def spoken(self) -> TeacherLanguage:
        """What is made for this teacher is written in."""
        return self.language or "en"  # type: ignore[return-value]


class Invitation(models.Model):
    """A link with which one account can be made, in a school or (None) in a new one. Only a digest of its secret is
    kept."""

    school = models.ForeignKey(School, on_delete=models.CASCADE, null=True, blank=True, related_name="invitations")
    digest = models.CharField(max_length=64, unique=True)
    expires_at = models.DateTimeField()
    used_by = models.ForeignKey(Teacher, null=True, blank=True, on_delete=models.CASCADE, related_name="invitation")


class ColumnUses(models.Model):
    """What a teacher said the columns of a spreadsheet hold, for the next one with the same headings.

    `headings` is a digest of them and of what was brought in; `uses` goes from a column's number (as text, from 0) to
    its use.
    """

    teacher = models.ForeignKey(Teacher, on_delete=models.CASCADE, related_name="+")
    headings = models.CharField(max_length=64)
    uses = models.JSONField()

    class Meta:
        constraints = (models.UniqueConstraint(fields=["teacher", "headings"], name="one_use_for_the_same_headings"),)
