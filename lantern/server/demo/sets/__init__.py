"""The demo sets, each a module with a title and items, written as a teacher would."""

from lantern.core.questions.content import SetContent
from lantern.server.demo.sets import (
    birds,
    distress,
    french,
    knots,
    lights,
    nets,
    night_passage,
    tide_talk,
    tides,
    weather,
)

DEMO_SETS: tuple[SetContent, ...] = (
    nets.SET,
    french.SET,
    distress.SET,
    tides.SET,
    birds.SET,
    knots.SET,
    weather.SET,
    tide_talk.SET,
    night_passage.SET,
    lights.SET,
)
"""In the order in which they were written: the last is the newest."""

HARBOUR_LIGHTS, TIDES = lights.SET, tides.SET
