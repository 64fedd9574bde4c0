"""What is generated is current: the OpenAPI snapshot and the front end's types."""

import json
import re
import subprocess
from collections import Counter

from lantern.core.formats.json_format import schema
from lantern.core.lights import PRICES
from lantern.core.values import Value
from lantern.server.api.snapshot import DEFAULTS, SNAPSHOT, defaults_of, snapshot_of
from lantern.server.config.routers import api
from lantern.server.live.schemas import SOCKET_MESSAGES
from tools.server import ROOT

HINT = "Run `make schema` and commit what it writes."


def test_the_openapi_snapshot_is_current():
    assert SNAPSHOT.read_text() == snapshot_of(api, SOCKET_MESSAGES), HINT


def test_the_defaults_of_the_front_end_are_current():
    assert DEFAULTS.read_text() == defaults_of(SNAPSHOT.read_text()), HINT


def test_the_published_schema_of_set_files_is_current():
    assert json.loads((ROOT / "docs/set.schema.json").read_text()) == schema(), HINT


def test_the_generated_types_are_current(tmp_path):
    written = tmp_path / "schema.d.ts"
    tool = ROOT / "frontend/node_modules/.bin/openapi-typescript"
    command = [str(tool), str(SNAPSHOT), "--default-non-nullable=false", "-o", str(written)]
    subprocess.run(command, check=True, capture_output=True)
    assert written.read_text() == (ROOT / "frontend/src/api/schema.d.ts").read_text(), HINT


def test_no_two_shapes_share_a_name():
    """The generated types know a shape by its name alone: one would silently stand for the other."""

    def below(model):
        for sub in model.__subclasses__():
            yield sub
            yield from below(sub)

    names = Counter(model.__name__ for model in set(below(Value)) if "[" not in model.__name__)
    assert [name for name, count in names.items() if count > 1] == []


def test_every_form_of_a_light_that_is_for_shells_or_free_has_a_name():
    """And no other: what is not offered cannot be seen (`lights.test.ts` asks for a picture of each name)."""
    words = (ROOT / "frontend/src/lights/words/en.ts").read_text("utf-8")
    for part, prices in PRICES.items():
        assert re.findall(rf"^  {part}_(\d+): ", words, re.M) == [str(form) for form in range(len(prices))]
