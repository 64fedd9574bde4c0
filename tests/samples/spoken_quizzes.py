"""Quizzes of mixed kinds as chats write them, in several languages: the words before questions and answers, and questions
of each kind, put together at random."""

from dataclasses import dataclass
from random import Random

from tests.samples.usual_ways import LETTERS, Written


@dataclass(frozen=True)
class Spoken:
    """The words of a language around questions, and two questions of each kind: the prompt and what is right."""

    question: str
    answer: str
    right: str
    why: str
    key: str
    true: str
    false: str
    either: str
    points: str
    before: str
    after: str
    choices: tuple[tuple[str, tuple[str, ...], int], ...]
    stated: tuple[tuple[str, bool], ...]
    gapped: tuple[tuple[str, str], ...]
    short: tuple[tuple[str, str], ...]
    numbers: tuple[tuple[str, str], ...]


LANGUAGES = {
    "en": Spoken(
        "Question", "Answer", "Correct answer", "Explanation", "Answer key", "True", "False", "True or False", "points",
        "Here is a quiz on the harbour:", "Let me know if you need more questions!",
        (("Which rope holds the bow?", ("stern line", "bow line", "halyard"), 1),
         ("What is the lowest part of a ship?", ("keel", "mast", "deck"), 0)),
        (("The moon causes tides.", True), ("Whales are fish.", False)),
        (("The left side of a ship is called ____.", "port"),
         ("A ship is steered with the ____ at its stern.", "rudder")),
        (("What do we call a harbour for yachts?", "marina"), ("Who leads a ship?", "captain")),
        (("How many masts has the Seamew?", "2"), ("How long is the mole in metres?", "340")),
    ),
    "de": Spoken(
        "Frage", "Antwort", "Richtige Antwort", "Erklärung", "Lösungen", "Richtig", "Falsch", "Richtig oder falsch",
        "Punkte", "Hier ist ein Quiz über den Hafen:", "Sag mir, wenn du noch mehr Fragen brauchst!",
        (("Welche Leine hält den Bug?", ("Achterleine", "Vorleine", "Fall"), 1),
         ("Was ist der tiefste Teil eines Schiffes?", ("Kiel", "Mast", "Deck"), 0)),
        (("Der Mond bewirkt die Gezeiten.", True), ("Wale sind Fische.", False)),
        (("Die linke Seite eines Schiffes heißt ____.", "Backbord"), ("Gesteuert wird mit dem ____ am Heck.", "Ruder")),
        (("Wie heißt ein Hafen für Jachten?", "Marina"), ("Wer führt ein Schiff?", "Kapitän")),
        (("Wie viele Masten hat die Seemöwe?", "2"), ("Wie lang ist die Mole in Metern?", "340")),
    ),
    "fr": Spoken(
        "Question", "Réponse", "Bonne réponse", "Explication", "Corrigé", "Vrai", "Faux", "Vrai ou faux", "points",
        "Voici un quiz sur le port :", "N'hésitez pas à me demander d'autres questions !",
        (("Quelle amarre tient la proue ?", ("l'amarre arrière", "l'amarre avant", "la drisse"), 1),
         ("Quelle est la partie la plus basse d'un navire ?", ("la quille", "le mât", "le pont"), 0)),
        (("La lune cause les marées.", True), ("Les baleines sont des poissons.", False)),
        (("Le côté gauche d'un navire s'appelle ____.", "bâbord"),
         ("On dirige un navire avec le ____ à l'arrière.", "gouvernail")),
        (("Comment appelle-t-on un port de plaisance ?", "marina"), ("Qui commande un navire ?", "capitaine")),
        (("Combien de mâts a le Goéland ?", "2"), ("Quelle est la longueur du môle en mètres ?", "340")),
    ),
    "es": Spoken(
        "Pregunta", "Respuesta", "Respuesta correcta", "Explicación", "Soluciones", "Verdadero", "Falso",
        "Verdadero o falso", "puntos", "Aquí tienes un cuestionario sobre el puerto:",
        "¿Quieres que prepare más preguntas?",
        (("¿Qué cabo sujeta la proa?", ("el cabo de popa", "el cabo de proa", "la driza"), 1),
         ("¿Cuál es la parte más baja de un barco?", ("la quilla", "el mástil", "la cubierta"), 0)),
        (("La luna causa las mareas.", True), ("Las ballenas son peces.", False)),
        (("El lado izquierdo de un barco se llama ____.", "babor"), ("Se gobierna con el ____ en la popa.", "timón")),
        (("¿Cómo se llama un puerto de yates?", "marina"), ("¿Quién manda un barco?", "capitán")),
        (("¿Cuántos mástiles tiene la Gaviota?", "2"), ("¿Cuánto mide el muelle en metros?", "340")),
    ),
    "it": Spoken(
        "Domanda", "Risposta", "Risposta corretta", "Spiegazione", "Soluzioni", "Vero", "Falso", "Vero o falso",
        "punti", "Ecco un quiz sul porto:", "Fammi sapere se vuoi altre domande!",
        (("Quale cima tiene la prua?", ("cima di poppa", "cima di prua", "drizza"), 1),
         ("Qual è la parte più bassa di una nave?", ("la chiglia", "l'albero", "il ponte"), 0)),
        (("La luna causa le maree.", True), ("Le balene sono pesci.", False)),
        (("Il lato sinistro di una nave si chiama ____.", "babordo"), ("Si governa con il ____ a poppa.", "timone")),
        (("Come si chiama un porto per yacht?", "marina"), ("Chi comanda una nave?", "capitano")),
        (("Quanti alberi ha il Gabbiano?", "2"), ("Quanto è lungo il molo in metri?", "340")),
    ),
    "pt": Spoken(
        "Pergunta", "Resposta", "Resposta correta", "Explicação", "Gabarito", "Verdadeiro", "Falso",
        "Verdadeiro ou falso", "pontos", "Aqui está um quiz sobre o porto:", "Quer que eu faça mais perguntas?",
        (("Que cabo segura a proa?", ("cabo de popa", "cabo de proa", "adriça"), 1),
         ("Qual é a parte mais baixa de um navio?", ("a quilha", "o mastro", "o convés"), 0)),
        (("A lua causa as marés.", True), ("As baleias são peixes.", False)),
        (("O lado esquerdo de um navio chama-se ____.", "bombordo"), ("Governa-se com o ____ na popa.", "leme")),
        (("Como se chama um porto para iates?", "marina"), ("Quem comanda um navio?", "capitão")),
        (("Quantos mastros tem a Gaivota?", "2"), ("Qual é o comprimento do molhe em metros?", "340")),
    ),
    "nl": Spoken(
        "Vraag", "Antwoord", "Juiste antwoord", "Uitleg", "Antwoorden", "Waar", "Niet waar", "Waar of niet waar",
        "punten", "Hier is een quiz over de haven:", "Laat me weten of je meer vragen wilt!",
        (("Welk touw houdt de boeg?", ("achtertros", "voortros", "val"), 1),
         ("Wat is het laagste deel van een schip?", ("kiel", "mast", "dek"), 0)),
        (("De maan veroorzaakt eb en vloed.", True), ("Walvissen zijn vissen.", False)),
        (("De linkerkant van een schip heet ____.", "bakboord"),
         ("Je stuurt met het ____ aan de achtersteven.", "roer")),
        (("Hoe heet een haven voor jachten?", "marina"), ("Wie leidt een schip?", "kapitein")),
        (("Hoeveel masten heeft de Meeuw?", "2"), ("Hoe lang is de pier in meters?", "340")),
    ),
    "sv": Spoken(
        "Fråga", "Svar", "Rätt svar", "Förklaring", "Facit", "Sant", "Falskt", "Sant eller falskt", "poäng",
        "Här är ett quiz om hamnen:", "Säg till om du vill ha fler frågor!",
        (("Vilken lina håller fören?", ("akterlina", "förlina", "fall"), 1),
         ("Vad är den lägsta delen av ett skepp?", ("köl", "mast", "däck"), 0)),
        (("Månen orsakar tidvatten.", True), ("Valar är fiskar.", False)),
        (("Vänster sida av ett skepp heter ____.", "babord"), ("Man styr med ____ i aktern.", "rodret")),
        (("Vad heter en hamn för yachter?", "marina"), ("Vem leder ett skepp?", "kapten")),
        (("Hur många master har Måsen?", "2"), ("Hur lång är piren i meter?", "340")),
    ),
    "pl": Spoken(
        "Pytanie", "Odpowiedź", "Poprawna odpowiedź", "Wyjaśnienie", "Odpowiedzi", "Prawda", "Fałsz",
        "Prawda czy fałsz", "punkty", "Oto quiz o porcie:", "Daj znać, jeśli chcesz więcej pytań!",
        (("Która lina trzyma dziób?", ("cuma rufowa", "cuma dziobowa", "fał"), 1),
         ("Co jest najniższą częścią statku?", ("kil", "maszt", "pokład"), 0)),
        (("Księżyc powoduje pływy.", True), ("Wieloryby są rybami.", False)),
        (("Lewa strona statku to ____.", "bakburta"), ("Statkiem steruje się za pomocą ____ na rufie.", "steru")),
        (("Jak nazywa się port dla jachtów?", "marina"), ("Kto dowodzi statkiem?", "kapitan")),
        (("Ile masztów ma Mewa?", "2"), ("Ile metrów ma molo?", "340")),
    ),
    "tr": Spoken(
        "Soru", "Cevap", "Doğru cevap", "Açıklama", "Cevap anahtarı", "Doğru", "Yanlış", "Doğru mu yanlış mı", "puan",
        "İşte liman hakkında bir test:", "Daha fazla soru ister misiniz?",
        (("Pruvayı hangi halat tutar?", ("kıç halatı", "baş halatı", "mandar"), 1),
         ("Geminin en alt kısmı nedir?", ("omurga", "direk", "güverte"), 0)),
        (("Gelgite ay neden olur.", True), ("Balinalar balıktır.", False)),
        (("Geminin sol tarafına ____ denir.", "iskele"), ("Gemi kıçtaki ____ ile yönetilir.", "dümen")),
        (("Yat limanına ne denir?", "marina"), ("Gemiyi kim yönetir?", "kaptan")),
        (("Martı'nın kaç direği var?", "2"), ("Mendirek kaç metredir?", "340")),
    ),
    "ru": Spoken(
        "Вопрос", "Ответ", "Правильный ответ", "Объяснение", "Ответы", "Верно", "Неверно", "Верно или неверно", "балла",
        "Вот тест о порте:", "Хотите, я составлю ещё вопросы?",
        (("Какой канат держит нос?", ("кормовой", "носовой", "фал"), 1),
         ("Что является нижней частью судна?", ("киль", "мачта", "палуба"), 0)),
        (("Луна вызывает приливы.", True), ("Киты — это рыбы.", False)),
        (("Левая сторона судна называется ____.", "бакборт"), ("Судном управляют с помощью ____ на корме.", "руля")),
        (("Как называется порт для яхт?", "марина"), ("Кто командует судном?", "капитан")),
        (("Сколько мачт у Чайки?", "2"), ("Какова длина мола в метрах?", "340")),
    ),
    "uk": Spoken(
        "Запитання", "Відповідь", "Правильна відповідь", "Пояснення", "Відповіді", "Правда", "Неправда",
        "Правда чи неправда", "бали", "Ось тест про порт:", "Чи хочете ще запитань?",
        (("Який канат тримає ніс?", ("кормовий", "носовий", "фал"), 1),
         ("Що є найнижчою частиною судна?", ("кіль", "щогла", "палуба"), 0)),
        (("Місяць спричиняє припливи.", True), ("Кити є рибами.", False)),
        (("Лівий бік судна називається ____.", "бакборт"), ("Судном керують за допомогою ____ на кормі.", "стерна")),
        (("Як називається порт для яхт?", "марина"), ("Хто керує судном?", "капітан")),
        (("Скільки щогл у Чайки?", "2"), ("Яка довжина молу в метрах?", "340")),
    ),
}  # fmt: skip
NUMBERS = (
    "{n}. {asked}", "{n}) {asked}", "**{n}. {asked}**", "{question} {n}: {asked}", "**{question} {n}:** {asked}",
    "### {question} {n}\n{asked}", "**{question} {n}**\n{asked}", "{n}. {asked} (2 {points})",
    "{question} {n} (2 {points})\n{asked}",
)  # fmt: skip
OPTIONS = ("{a}) {o}", "{A}) {o}", "{A}. {o}", "- {A}) {o}", "   {a}) {o}", "({a}) {o}")
BELOW = (
    "{answer}: {said}", "**{answer}:** {said}", "{right}: {said}", "*{answer}: {said}*", "✅ **{right}:** {said}",
    "{ANSWER}: {said}", "→ {answer}: {said}", "   {answer}: {said}", "{answer} : {said}",
)  # fmt: skip
AT_THE_END = (
    "{n}. {said}",
    "{n}) {said}",
    "**{n}.** {said}",
    "{n} – {said}",
    "{question} {n}: {said}",
    "| {n} | {said} |",
    "",
)
HEADS = ("{key}", "{key}:", "**{key}**", "### {key}", "**{key}:**")


def quizzes(random: Random, language: str) -> Written:
    """A quiz of several kinds in one of `LANGUAGES`."""
    spoken = LANGUAGES[language]
    words = {"question": spoken.question, "points": spoken.points, "answer": spoken.answer, "right": spoken.right}
    words |= {"ANSWER": spoken.answer.upper(), "key": spoken.key}
    number, option, stated = (
        random.choice(NUMBERS),
        random.choice(OPTIONS),
        random.choice(("{}", "{either}: {}", "{} ({true}/{false})")),
    )
    is_below, is_long, has_why = random.random() < 0.5, random.random() < 0.5, random.random() < 0.3
    way = random.choice(BELOW if is_below else AT_THE_END)
    sorts = random.sample(("choices", "stated", "gapped", "short", "numbers"), random.choice((2, 3, 4, 5)))
    blocks, said, meant = [], [], []
    for n, sort in enumerate(sorts, start=1):
        one = random.choice(getattr(spoken, sort))
        asked, options, answer = one[0], [], one[1]
        if sort == "choices":
            letter = LETTERS[one[2]].lower() if "{a}" in option else LETTERS[one[2]]
            options = [option.format(a=LETTERS[at].lower(), A=LETTERS[at], o=text) for at, text in enumerate(one[1])]
            answer = f"{letter}) {one[1][one[2]]}" if is_long else letter
            meant.append(f"choice | {asked} | {one[1][one[2]]}")
        elif sort == "stated":
            meant.append(f"choice | {asked} | {answer}")
            asked = stated.format(asked, either=spoken.either, true=spoken.true, false=spoken.false)
            answer = spoken.true if answer else spoken.false
        elif sort == "gapped":
            meant.append(f"gap_fill | Fill in the gap. | {asked.replace('____', f'[{answer}]')}")
        else:
            meant.append(f"{'text' if sort == 'short' else 'numeric'}_entry | {asked} | {answer}")
        lines = [number.format(n=n, asked=asked, **words), *options]
        if is_below:
            lines += [way.format(said=answer, **words), *([f"{spoken.why}: abc def."] if has_why else [])]
        blocks.append("\n".join(lines))
        said.append((n, answer))
    if not is_below:
        head = random.choice(HEADS).format(**words)
        ends = [way.format(n=n, said=answer, **words) for n, answer in said]
        table = [f"| {spoken.question} | {spoken.answer} |", "|---|---|"] if way.startswith("|") else []
        inline = ["  ".join(f"{n}. {answer}" for n, answer in said)]
        blocks.append("\n".join([head, *table, *(ends if way else inline)]))
    before, after = random.choice(("", f"{spoken.before}\n\n")), random.choice(("", f"\n\n{spoken.after}"))
    return Written(before + "\n\n".join(blocks) + after, tuple(meant), (language, number, option, way))
