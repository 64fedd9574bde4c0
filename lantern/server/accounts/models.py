"""Teachers. Students have no account: they have a seat in a session."""

from typing import Any, ClassVar

from django.contrib.auth.base_user import AbstractBaseUser, BaseUserManager
from django.contrib.auth.models import PermissionsMixin
from django.db import models


class TeacherManager(BaseUserManager["Teacher"]):
    def create_user(self, email: str, password: str, name: str, **extra: Any) -> "Teacher":
        teacher = self.model(email=self.normalize_email(email).lower(), name=name, **extra)
        teacher.set_password(password)
        teacher.save()
        return teacher

    def create_superuser(self, email: str, password: str, name: str, **extra: Any) -> "Teacher":
        return self.create_user(email, password, name, is_staff=True, is_superuser=True, **extra)


class Teacher(AbstractBaseUser, PermissionsMixin):
    email = models.EmailField(unique=True)
    name = models.CharField(max_length=80)
    is_active = models.BooleanField(default=True)
    is_staff = models.BooleanField(default=False)
    joined_at = models.DateTimeField(auto_now_add=True)

    USERNAME_FIELD = "email"
    REQUIRED_FIELDS: ClassVar = ["name"]
    objects: ClassVar[TeacherManager] = TeacherManager()

    def __str__(self) -> str:
        return self.name


class Invitation(models.Model):
    """A link with which one account can be made. Only a digest of its secret is kept."""

    digest = models.CharField(max_length=64, unique=True)
    expires_at = models.DateTimeField()
    used_by = models.ForeignKey(Teacher, null=True, blank=True, on_delete=models.CASCADE, related_name="invitation")
