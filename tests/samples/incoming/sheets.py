"""Sheets as people send them. Cells are what the file holds: text, numbers, dates, `Percent(0.25)` for a number shown as
a percentage, None for an empty cell. `expected` is as in the other samples; `asked` says what has to be asked for both
readings fit; `left` what has to be listed; `refused` a word of the sentence where a row is not to be read."""

from dataclasses import dataclass
from datetime import date, time


@dataclass(frozen=True)
class Percent:
    value: float


@dataclass(frozen=True)
class Sheet:
    name: str
    rows: list[list[object]]
    expected: tuple[str, ...] = ()
    asked: str = ""
    left: tuple[str, ...] = ()
    refused: tuple[str, ...] = ()
    more: tuple[tuple[str, list[list[object]]], ...] = ()


LOOP = "choice | Which knot makes a loop? | Bowline"

SHEETS = (
    Sheet(
        "letters belong to columns",
        [
            ["Question", "A", "B", "C", "D", "Answer"],
            ["Which knot makes a loop?", "Reef knot", None, "Bowline", "Sheet bend", "C"],
            ["Which light is red?", None, "port", None, "starboard", "B"],
        ],
        (LOOP, "choice | Which light is red? | port"),
    ),
    Sheet(
        "numbers belong to columns",
        [
            ["question", "option 1", "option 2", "option 3", "option 4", "correct"],
            ["Which knot makes a loop?", "Reef knot", "Sheet bend", None, "Bowline", 4],
        ],
        (LOOP,),
    ),
    Sheet(
        "a key that fits no option",
        [
            ["Question", "A", "B", "C", "Key"],
            ["Which knot makes a loop?", "Reef knot", "Bowline", "Sheet bend", "E"],
            ["Which light is green?", "port", "starboard", None, "B"],
        ],
        ("choice | Which light is green? | starboard",),
        refused=("Which knot makes a loop?",),
    ),
    Sheet(
        "a key that is another text",
        [
            ["Question", "Option A", "Option B", "Right answer"],
            ["Which knot makes a loop?", "Reef knot", "Bowline", "Bowlin"],
        ],
        refused=("Which knot makes a loop?",),
    ),
    Sheet(
        "options that are numbers, key by text",
        [
            ["Question", "A", "B", "C", "Answer (text)"],
            ["How many fathoms are in a cable?", 1, 10, 100, 100],
            ["How many masts has a ketch?", 1, 2, 3, 2],
        ],
        ("choice | How many fathoms are in a cable? | 100", "choice | How many masts has a ketch? | 2"),
    ),
    Sheet(
        "options that are numbers, key by place",
        [
            ["Question", "Option 1", "Option 2", "Option 3", "Correct option (1–3)"],
            ["How many masts has a ketch?", 3, 2, 1, 2],
            ["How many masts has a sloop?", 3, 2, 1, 3],
        ],
        ("choice | How many masts has a ketch? | 2", "choice | How many masts has a sloop? | 1"),
    ),
    Sheet(
        "place or text, both fit",
        [
            ["Question", "Option 1", "Option 2", "Option 3", "Correct"],
            ["How many masts has a ketch?", 3, 2, 1, 2],
            ["How many masts has a sloop?", 2, 3, 1, 3],
        ],
        asked="place or text",
    ),
    Sheet(
        "options that are letters",
        [
            ["Question", "A", "B", "C", "Answer (A–C)"],
            ["Which flag says 'diver below'?", "B", "A", "C", "B"],
        ],
        ("choice | Which flag says 'diver below'? | A",),
    ),
    Sheet(
        "a second sheet",
        [
            ["Question", "A", "B", "Answer"],
            ["Which knot makes a loop?", "Bowline", "Reef knot", "A"],
        ],
        (LOOP, "choice | Which light is red? | port"),
        more=(
            (
                "More",
                [
                    ["Question", "A", "B", "Answer"],
                    ["Which light is red?", "port", "starboard", "A"],
                ],
            ),
        ),
    ),
    Sheet(
        "a second sheet of notes",
        [
            ["Question", "A", "B", "Answer"],
            ["Which knot makes a loop?", "Bowline", "Reef knot", "A"],
        ],
        (LOOP,),
        left=("Notes",),
        more=(("Notes", [["Ask Ravi about Thursday"], ["Bring the chart"]]),),
    ),
    Sheet(
        "dates",
        [
            ["Question", "Option 1", "Option 2", "Answer"],
            ["When was the light lit?", date(1951, 3, 1), date(1951, 4, 1), "1"],
        ],
        ("choice | When was the light lit? | 1951-03-01",),
    ),
    Sheet(
        "percentages",
        [
            ["Question", "A", "B", "C", "Key"],
            ["How much of the boats came back by noon?", Percent(0.25), Percent(0.5), Percent(0.75), "C"],
        ],
        ("choice | How much of the boats came back by noon? | 75%",),
    ),
    Sheet(
        "times of day",
        [
            ["Question", "A", "B", "Key"],
            ["When is high water today?", time(6, 30), time(12, 45), "B"],
        ],
        ("choice | When is high water today? | 12:45",),
    ),
    Sheet(
        "choices in one cell by lines",
        [
            ["Question", "Choices", "Answer"],
            ["Which knot makes a loop?", "Reef knot\nBowline\nSheet bend", "Bowline"],
        ],
        (LOOP,),
    ),
    Sheet(
        "choices in one cell by bars",
        [
            ["Question", "Choices", "Answer"],
            ["Which knot makes a loop?", "Reef knot | Bowline | Sheet bend", "2"],
            ["Which light is red?", "port|starboard", "port"],
        ],
        (LOOP, "choice | Which light is red? | port"),
    ),
    Sheet(
        "choices in one cell by semicolons, lettered",
        [
            ["Question", "Options", "Correct"],
            ["Which knot makes a loop?", "A) Reef knot; B) Bowline; C) Sheet bend", "B"],
        ],
        (LOOP,),
    ),
    Sheet(
        "commas inside choices by semicolons",
        [
            ["Question", "Options", "Correct"],
            ["What is carried in a dinghy?", "oars, a bailer; a piano; a crane", "oars, a bailer"],
        ],
        ("choice | What is carried in a dinghy? | oars, a bailer",),
    ),
    Sheet(
        "headings in other words",
        [
            ["No.", "Item stem", "Distractor 1", "Distractor 2", "Key"],
            [1, "Which knot makes a loop?", "Reef knot", "Sheet bend", "Bowline"],
        ],
        (LOOP,),
    ),
    Sheet(
        "right and wrong columns",
        [
            ["Prompt", "Correct answer", "Wrong answer 1", "Wrong answer 2", "Wrong answer 3"],
            ["Which knot makes a loop?", "Bowline", "Reef knot", "Sheet bend", None],
        ],
        (LOOP,),
    ),
    Sheet(
        "German headings",
        [
            ["Frage", "Antwort A", "Antwort B", "Antwort C", "Lösung", "Erklärung", "Punkte"],
            [
                "Welcher Knoten bildet eine Schlinge?",
                "Kreuzknoten",
                "Palstek",
                "Schotstek",
                "B",
                "Er zieht sich nicht zu.",
                2,
            ],
        ],
        ("choice | Welcher Knoten bildet eine Schlinge? | Palstek | why: Er zieht sich nicht zu.",),
        left=("Punkte",),
    ),
    Sheet(
        "French headings",
        [
            ["Question", "Réponse A", "Réponse B", "Bonne réponse", "Explication"],
            ["Quel nœud forme une boucle ?", "Le nœud plat", "Le nœud de chaise", "B", "Il ne glisse pas."],
        ],
        ("choice | Quel nœud forme une boucle ? | Le nœud de chaise | why: Il ne glisse pas.",),
    ),
    Sheet(
        "Spanish headings",
        [
            ["Pregunta", "Opción 1", "Opción 2", "Respuesta correcta"],
            ["¿Qué nudo forma una gaza?", "El nudo llano", "El as de guía", 2],
        ],
        ("choice | ¿Qué nudo forma una gaza? | El as de guía",),
    ),
    Sheet(
        "Polish headings",
        [
            ["Pytanie", "A", "B", "C", "Poprawna odpowiedź"],
            ["Który węzeł tworzy pętlę?", "płaski", "ratowniczy", "szotowy", "B"],
        ],
        ("choice | Który węzeł tworzy pętlę? | ratowniczy",),
    ),
    Sheet(
        "Russian headings",
        [
            ["Вопрос", "Вариант 1", "Вариант 2", "Правильный ответ"],
            ["Какой узел образует петлю?", "прямой", "беседочный", 2],
        ],
        ("choice | Какой узел образует петлю? | беседочный",),
    ),
    Sheet(
        "Arabic headings",
        [
            ["السؤال", "الخيار ١", "الخيار ٢", "الإجابة الصحيحة"],
            ["أي عقدة تصنع حلقة؟", "العقدة المربعة", "عقدة القوس", "٢"],
        ],
        ("choice | أي عقدة تصنع حلقة؟ | عقدة القوس",),
    ),
    Sheet(
        "Chinese headings",
        [
            ["题目", "选项A", "选项B", "答案", "解析"],
            ["哪种绳结可以做成绳圈？", "平结", "单套结", "B", "它不会滑动。"],
        ],
        ("choice | 哪种绳结可以做成绳圈？ | 单套结 | why: 它不会滑动。",),
    ),
    Sheet(
        "a title above the headings",
        [
            ["Knots, class 8C, autumn", None, None, None],
            ["made by S. Toll", None, None, None],
            [None, None, None, None],
            ["Question", "A", "B", "Answer"],
            ["Which knot makes a loop?", "Bowline", "Reef knot", "A"],
        ],
        (LOOP,),
        left=("made by S. Toll",),
    ),
    Sheet(
        "no headings at all",
        [
            ["Which knot makes a loop?", "Reef knot", "Bowline", "Sheet bend", "B"],
            ["Which light is red?", "port", "starboard", "stern", "A"],
            ["Which light is green?", "port", "starboard", "stern", "B"],
        ],
        (LOOP, "choice | Which light is red? | port", "choice | Which light is green? | starboard"),
    ),
    Sheet(
        "no headings, question and answer",
        [
            ["What is the left side of a ship called?", "port"],
            ["What is the right side of a ship called?", "starboard"],
            ["What is the back of a ship called?", "stern"],
        ],
        (
            "text_entry | What is the left side of a ship called? | port",
            "text_entry | What is the right side of a ship called? | starboard",
            "text_entry | What is the back of a ship called? | stern",
        ),
    ),
    Sheet(
        "a column of ticks for each option",
        [
            ["Question", "Option 1", "Right 1", "Option 2", "Right 2", "Option 3", "Right 3"],
            ["Which are knots?", "Bowline", "x", "Bollard", None, "Reef knot", "x"],
        ],
        ("choice | Which are knots? | Bowline + Reef knot",),
    ),
    Sheet(
        "one row for each option",
        [
            ["Question", "Option", "Correct"],
            ["Which knot makes a loop?", "Reef knot", "no"],
            [None, "Bowline", "yes"],
            [None, "Sheet bend", "no"],
            ["Which light is red?", "port", "yes"],
            [None, "starboard", "no"],
        ],
        (LOOP, "choice | Which light is red? | port"),
    ),
    Sheet(
        "several right by commas",
        [
            ["Question", "A", "B", "C", "D", "Answers"],
            ["Which are knots?", "Bowline", "Bollard", "Reef knot", "Fender", "A, C"],
        ],
        ("choice | Which are knots? | Bowline + Reef knot",),
    ),
    Sheet(
        "true and false as values",
        [
            ["Statement", "Answer"],
            ["The tide turns twice a day.", True],
            ["Fog lifts at sea only.", False],
        ],
        ("choice | The tide turns twice a day. | True", "choice | Fog lifts at sea only. | False"),
    ),
    Sheet(
        "a kind in each row",
        [
            ["Type", "Question", "Option A", "Option B", "Answer"],
            ["multiple choice", "Which light is red?", "port", "starboard", "A"],
            ["short answer", "What is the back of a ship called?", None, None, "stern"],
            ["true/false", "The tide turns twice a day.", None, None, "true"],
            ["open", "Why does a ship carry lights?", None, None, None],
        ],
        (
            "choice | Which light is red? | port",
            "text_entry | What is the back of a ship called? | stern",
            "choice | The tide turns twice a day. | True",
            "open_response | Why does a ship carry lights? | ",
        ),
    ),
    Sheet(
        "points that are no weights",
        [
            ["Question", "A", "B", "Answer", "Points"],
            ["Which light is red?", "port", "starboard", "A", 5],
            ["Which light is green?", "port", "starboard", "B", 3],
            ["Which light is white?", "stern", "mast and stern", "B", 4],
        ],
        (
            "choice | Which light is red? | port",
            "choice | Which light is green? | starboard",
            "choice | Which light is white? | mast and stern",
        ),
        left=("5, 3",),
    ),
    Sheet(
        "feedback for each option",
        [
            ["Question", "A", "Feedback A", "B", "Feedback B", "Answer"],
            ["Which light is red?", "port", "Yes, red is port.", "starboard", "Starboard is green.", "A"],
        ],
        ("choice | Which light is red? | port",),
        left=("Feedback",),
    ),
    Sheet(
        "times in words",
        [
            ["Question", "A", "B", "Answer", "Time"],
            ["Which light is red?", "port", "starboard", "A", "30 sec"],
            ["Which light is green?", "port", "starboard", "B", "1 min"],
        ],
        ("choice | Which light is red? | port", "choice | Which light is green? | starboard"),
    ),
    Sheet(
        "an empty row in between",
        [
            ["Question", "A", "B", "Answer"],
            ["Which light is red?", "port", "starboard", "A"],
            [None, None, None, None],
            ["Which light is green?", "port", "starboard", "B"],
        ],
        ("choice | Which light is red? | port", "choice | Which light is green? | starboard"),
    ),
)
