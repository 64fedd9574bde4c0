"""Addresses: the API, media, and the four pages that carry the front end."""

from django.urls import path, re_path

from lantern.server.config.pages import remote_page, screen_page, student_page, teacher_page, trial_page, worker_file
from lantern.server.config.routers import api
from lantern.server.live.private_media import guarded
from lantern.server.media.views import file, picture

urlpatterns = [
    path("api/", api.urls),
    path("media/<str:media_id>/<int:width>.webp", guarded(picture), name="picture"),
    path("media/<str:media_id>/<str:name>", guarded(file), name="media"),
    path("join", student_page),
    path("join/<str:code>", student_page),
    path("class/<str:code>", student_page),
    path("confirm/<path:code>", student_page),
    path("w/<str:code>", student_page),
    path("w.js", worker_file),
    path("screen/<int:session_id>", screen_page),
    path("remote", remote_page),
    path("sets/<int:set_id>/try/frame", trial_page),
    re_path(r"^(?!api/|static/|media/).*$", teacher_page),
]
