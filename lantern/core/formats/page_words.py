"""What stands on a student's page beside what the teacher and the student wrote, in every language that students'
devices speak."""

from lantern.core.languages import Language
from lantern.core.values import Value


class PageWords(Value):
    """`of` has {score} and {out_of}, `place` has {place} and {of}. `right`, `partly` and `wrong` are said of a mark by
    who reads the page aloud."""

    score: str
    of: str
    points: str
    place: str
    your_answer: str
    right_answer: str
    no_answer: str
    waits: str
    not_counted: str
    comment: str
    why: str
    right: str
    partly: str
    wrong: str
    nothing_told: str


WORDS: dict[Language, PageWords] = {
    "en": PageWords(
        score="Score",
        of="{score} of {out_of}",
        points="Points",
        place="Place {place} of {of}",
        your_answer="Your answer",
        right_answer="Right answer",
        no_answer="no answer",
        waits="not marked yet",
        not_counted="in no score",
        comment="From your teacher",
        why="Why",
        right="right",
        partly="partly right",
        wrong="not right",
        nothing_told="Your teacher has not shown the answers of this session.",
    ),
    "de": PageWords(
        score="Ergebnis",
        of="{score} von {out_of}",
        points="Punkte",
        place="Platz {place} von {of}",
        your_answer="Deine Antwort",
        right_answer="Richtige Antwort",
        no_answer="keine Antwort",
        waits="noch nicht bewertet",
        not_counted="zählt nicht",
        comment="Von deiner Lehrkraft",
        why="Warum",
        right="richtig",
        partly="zum Teil richtig",
        wrong="nicht richtig",
        nothing_told="Deine Lehrkraft hat die Antworten dieser Runde nicht gezeigt.",
    ),
    "fr": PageWords(
        score="Résultat",
        of="{score} sur {out_of}",
        points="Points",
        place="Place {place} sur {of}",
        your_answer="Ta réponse",
        right_answer="Bonne réponse",
        no_answer="pas de réponse",
        waits="pas encore noté",
        not_counted="ne compte pas",
        comment="De ton professeur",
        why="Pourquoi",
        right="juste",
        partly="en partie juste",
        wrong="pas juste",
        nothing_told="Ton professeur n’a pas montré les réponses de cette séance.",
    ),
    "es": PageWords(
        score="Resultado",
        of="{score} de {out_of}",
        points="Puntos",
        place="Puesto {place} de {of}",
        your_answer="Tu respuesta",
        right_answer="Respuesta correcta",
        no_answer="sin respuesta",
        waits="aún sin calificar",
        not_counted="no cuenta",
        comment="De tu docente",
        why="Por qué",
        right="correcto",
        partly="correcto en parte",
        wrong="no es correcto",
        nothing_told="Tu docente no ha mostrado las respuestas de esta sesión.",
    ),
    "uk": PageWords(
        score="Результат",
        of="{score} з {out_of}",
        points="Бали",
        place="Місце {place} з {of}",
        your_answer="Твоя відповідь",
        right_answer="Правильна відповідь",
        no_answer="немає відповіді",
        waits="ще не оцінено",
        not_counted="не зараховується",
        comment="Від учителя",
        why="Чому",
        right="правильно",
        partly="частково правильно",
        wrong="неправильно",
        nothing_told="Учитель не показав відповіді цього заняття.",
    ),
    "ar": PageWords(
        score="النتيجة",
        of="{score} من {out_of}",
        points="النقاط",
        place="المركز {place} من {of}",
        your_answer="إجابتك",
        right_answer="الإجابة الصحيحة",
        no_answer="لا إجابة",
        waits="لم تُقيَّم بعد",
        not_counted="لا تُحتسب",
        comment="من معلّمك",
        why="لماذا",
        right="صحيح",
        partly="صحيح جزئيًا",
        wrong="غير صحيح",
        nothing_told="لم يعرض معلّمك إجابات هذه الجلسة.",
    ),
}
