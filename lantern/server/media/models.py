from django.conf import settings
from django.db import models


class StoredMedia(models.Model):
    """A picture, sound, video or captions file. Its id cannot be guessed, so the address alone lets a class see it.

    One that `is_private` (used in a private set) is served to its owner and to seats of a session with it alone.
    `name` is what the teacher would look for; `seconds` belongs to sounds, the sizes to pictures, in pixels.
    """

    class Type(models.TextChoices):
        PICTURE = "picture"
        SOUND = "sound"
        VIDEO = "video"
        CAPTIONS = "captions"

    id = models.CharField(primary_key=True, max_length=40)
    owner = models.ForeignKey(settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="media")
    type = models.CharField(max_length=10, choices=Type, default=Type.PICTURE)
    name = models.CharField(max_length=200, blank=True)
    content_type = models.CharField(max_length=40, default="image/webp")
    bytes = models.PositiveBigIntegerField(default=0)
    width = models.PositiveIntegerField(default=0)
    height = models.PositiveIntegerField(default=0)
    seconds = models.FloatField(default=0)
    credit = models.CharField(max_length=200, blank=True)
    is_private = models.BooleanField(default=False)
    created_at = models.DateTimeField(auto_now_add=True)

    class Meta:
        indexes = (models.Index(fields=["owner", "-created_at"]),)
