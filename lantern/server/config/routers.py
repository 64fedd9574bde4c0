"""The one API object, with each app's router in its place."""

from lantern.server.accounts.router import router as accounts
from lantern.server.api.main import make_api
from lantern.server.aside.router import router as aside
from lantern.server.classes.router import router as classes
from lantern.server.exchange.router import router as exchange
from lantern.server.library.router import router as library
from lantern.server.library.shelf import router as shelf
from lantern.server.live.router import router as live
from lantern.server.live.trial import router as trial
from lantern.server.media.router import router as media
from lantern.server.practice.router import router as practice
from lantern.server.reports.book_router import router as grade_books
from lantern.server.reports.router import router as reports
from lantern.server.reports.shared_router import router as shared
from lantern.server.schools.router import router as school
from lantern.server.schools.router import students_router as students
from lantern.server.work.doing_router import router as doing
from lantern.server.work.router import router as work

api = make_api(
    {
        "accounts": accounts,
        "jobs": aside,
        "classes": classes,
        "sets": library,
        "media": media,
        "shelf": shelf,
        "exchange": exchange,
        "live": live,
        "trial": trial,
        "work": work,
        "doing": doing,
        "practice": practice,
        "sessions": reports,
        "grade-books": grade_books,
        "shared": shared,
        "school": school,
        "students": students,
    }
)
