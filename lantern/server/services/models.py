from django.db import models


class SentMail(models.Model):
    """A message in the outbox of the simulated mail service. `school` is the number of the one it was sent for."""

    school = models.BigIntegerField(default=0, db_index=True)
    to = models.TextField()
    subject = models.CharField(max_length=200)
    text = models.TextField()
    sent_at = models.DateTimeField(auto_now_add=True)

    class Meta:
        ordering = ("-sent_at", "-id")
