from django.db import models


class SentMail(models.Model):
    """A message in the outbox of the simulated mail service. `school` is the number of the one it was sent for,
    `reply_to` the address that an answer goes to."""

    school = models.BigIntegerField(default=0, db_index=True)
    to = models.TextField()
    subject = models.CharField(max_length=200)
    text = models.TextField()
    reply_to = models.TextField(blank=True, default="")
    sent_at = models.DateTimeField(auto_now_add=True)

    class Meta:
        ordering = ("-sent_at", "-id")


class SentFile(models.Model):
    """A file that went with a message in the outbox."""

    mail = models.ForeignKey(SentMail, on_delete=models.CASCADE, related_name="files")
    name = models.CharField(max_length=200)
    content_type = models.CharField(max_length=100)
    content = models.BinaryField()
