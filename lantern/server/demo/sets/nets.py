"""Left unfinished on purpose: it shows what the editor lists as still to be settled."""

from lantern.server.demo.sets.writing import a_set, choice, page

SET = a_set(
    "Fish and nets (draft)",
    choice(
        "Which net is drawn along the bottom of the sea?",
        "+A trawl",
        "A drift net",
        "A seine",
        "",
        why="The draught of the trawl doors keeps its mouth open.",
    ),
    choice("Why do nets have a smallest size of mesh?", "To let the water through", "So that young fish can escape"),
    page("What we saw at the quay", ""),
)
