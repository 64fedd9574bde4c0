"""What is said of pasted questions, and what they ask where the text does not say it, in the language of the set."""

from lantern.core.messages import Message, said

FILL_GAP = said("ask_fill_gap", "Fill in the gap.")
TRUE, FALSE = said("is_true", "True"), said("is_false", "False")
TRUE_OR_FALSE = said("ask_true_false", "True or false?")
NO_RIGHT = said("none_marked_right", "No option is marked as right. Mark one, or make it an opinion.")
ORDER_AS_CHOICE = said(
    "order_as_choice", "It asks for an order, and was read as a choice: look whether it is meant so."
)
MAY_ASK = said("may_ask", "This may hold questions, but how they are written was not understood.")
NO_QUESTION = said("no_question_here", "This asks nothing. It can come in as a page.")

LINES_AS_OPTIONS = said(
    "lines_as_options", "The lines below the question were taken as its options; nothing says that they are."
)
X_AS_MARK = said("x_as_mark", "The x behind an option was taken as the mark of a right one.")
MANY_ANSWERS = said(
    "many_answers", "The answer below it names several questions by their numbers. Give this one its own."
)
BRACKETS_AS_GAPS = said("brackets_as_gaps", "What stands in brackets was taken as gaps.")
BLANK_AS_OPEN = said(
    "blank_as_open", "Nothing says what belongs into the blank: it was taken for a question that is answered freely."
)
WORD_AS_ANSWER = said(
    "word_as_answer", "The word in brackets behind it was taken as what belongs into the gap, not as a help for it."
)
LISTS_AS_GROUPS = said("lists_as_groups", "Nothing but the colons says that these lines are groups.")
COMMAS_AS_PAIRS = said("commas_as_pairs", "Nothing but the commas says that these lines are pairs.")
COLONS_AS_PAIRS = said("colons_as_pairs", "Nothing but the colons says that these lines are pairs.")
APART = said("stands_apart", "It stands apart from the other questions: look whether your students are asked this.")


def unusual(line: str) -> Message:
    text = "“{line}” is not written in a usual way: look whether it was read as it is meant."
    return said("unusual_way", text, line=line.strip()[:80])


def left_out(line: str) -> Message:
    return said("line_left_out", "Left out: “{line}”.", line=line.strip()[:120])


def glued(line: str) -> Message:
    return said("line_glued", "“{line}” was taken as the rest of the option above it.", line=line[:80])
