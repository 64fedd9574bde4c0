from lantern.core.questions.content import SetContent
from lantern.core.questions.items import Item


def a_set(*items: Item, title: str = "Knots that hold") -> SetContent:
    return SetContent(title=title, items=items)
