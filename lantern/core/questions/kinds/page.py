"""Information page: something to read together. Nobody answers it."""

from collections.abc import Iterator, Sequence
from typing import Literal

from lantern.core.messages import said
from lantern.core.questions.companions import NewId, Sample
from lantern.core.questions.contract import Kind
from lantern.core.questions.items import (
    Answer,
    Item,
    Problem,
    PromptText,
    PublicItem,
    Tally,
    common_problems,
    public_fields,
    wrong,
)
from lantern.core.questions.qti import QtiSheet
from lantern.core.questions.richtext import block_html, plain
from lantern.core.questions.textform import body_lines, body_of


class PageItem(Item):
    """`prompt` is the heading, `body` the text under it. `joining`: the big screen says beside it how to join."""

    kind: Literal["page"] = "page"
    body: PromptText = ""
    joining: bool = False


class PublicPage(PublicItem):
    kind: Literal["page"] = "page"
    body_html: str
    joining: bool = False

    def read_out(self) -> Iterator[tuple[str, str]]:
        yield "body", self.body_html


class Page(Kind[PageItem, Answer, Tally]):
    name = "page"
    called = said("kind_page", "page")
    item = PageItem
    public_item = PublicPage
    text_fields = ("body",)

    def check(self, item: PageItem) -> list[Problem]:
        problems = [p for p in common_problems(item) if p.field != "prompt"]
        if not plain(item.prompt):
            problems.append(wrong(said("heading_missing", "Give the page a heading."), "prompt"))
        return problems

    def public(self, item: PageItem, secret: str = "") -> PublicPage:
        return PublicPage.model_validate(
            {**public_fields(item), "body_html": block_html(item.body), "joining": item.joining}
        )

    def texts(self, item: PageItem) -> list[str]:
        return [item.prompt, item.body]

    def to_lines(self, item: PageItem) -> list[str]:
        return body_lines(item.body)

    def from_lines(self, lines: Sequence[str], new_id: NewId) -> dict[str, object]:
        return {"body": body_of(lines)}

    def to_qti(self, item: PageItem, sheet: QtiSheet) -> bool:
        sheet.build.inline(sheet.build.make("h2", sheet.body), item.prompt)
        sheet.media(item)
        sheet.build.block(sheet.build.make("div", sheet.body), item.body)
        return True

    def samples(self) -> Sequence[Sample]:
        page = PageItem(
            id="page-watch",
            prompt="Before you go out",
            body="Read the **forecast** twice.\n\n- Tell someone where you go\n- Tell them when you will be back",
        )
        return [Sample(item=page, right=None)]


KIND = Page()
