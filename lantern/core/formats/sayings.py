"""What people call the parts of a question, in the languages that questions come in: in texts, in headings of sheets.

1. A language is one entry of BY_LANGUAGE; nothing else has to know of it.
2. Words are regular expressions with bars between them, small letters; a space is any run of spaces. They are looked for in
   all languages at once: a French answer line below a German question is one.
"""

import re
from collections.abc import Callable
from dataclasses import dataclass
from functools import cache


@dataclass(frozen=True, slots=True)
class Sayings:
    """Words for what stands in front of something ("Answer: …", "Frage 3"), and those that say something themselves.

    In front of something, also at the head of a column: `question`, `option`, `answer`, `why`, `points`, `topic`, `time`,
    `by` (who wrote it), `aside` (what is no part of a question: a hint, a source), `model` (an answer as it may be),
    `number`, `kind`, `letter_head` (a line above a letter: its sender, its date); `wrong_option` heads a column of wrong ones.
    Above several: `key` (the answers at the end), `section` (a part of a test), `bank` (words that belong into gaps), `do`
    (what the questions below are to be done with).
    With an option: `right` ("(correct)"). With a statement: `true`, `false` and their letters.
    In an answer: `either` between two of which each is right, `both` between two that are right together, `between` before
    the lowest and the highest of numbers that are right, `because` before a reason, `page` and `see` before the number of a
    page and a reference, `own` where the answer is the student's own.
    In what is asked: `write` where something is to be written, `ordering` where it is to be put into order; `closed_kind`
    and `open_kind` name kinds of questions, `sort` is a word before "question" that says nothing of its kind.
    To nobody who answers: `about_you` before a line for a name, `speaks` in a sentence to the teacher.
    """

    question: str
    option: str
    answer: str
    why: str
    right: str
    true: str
    false: str
    true_letter: str = ""
    false_letter: str = ""
    wrong_option: str = ""
    model: str = ""
    points: str = ""
    topic: str = ""
    time: str = ""
    by: str = ""
    aside: str = ""
    key: str = ""
    section: str = ""
    bank: str = ""
    own: str = ""
    either: str = ""
    both: str = ""
    between: str = ""
    number: str = ""
    kind: str = ""
    because: str = ""
    page: str = ""
    see: str = ""
    about_you: str = ""
    write: str = ""
    ordering: str = ""
    speaks: str = ""
    closed_kind: str = ""
    open_kind: str = ""
    sort: str = ""
    do: str = ""
    letter_head: str = ""


BY_LANGUAGE: dict[str, Sayings] = {
    "en": Sayings(
        question="questions?|problem|task|riddle|prompt|stem|item|q|statement|claim|front",
        option="options?|choices?|answer choices?|possible answers?|alternatives?|responses?",
        answer="accept(?:ed|able|s)?(?: answers?)?|(?:the )?(?:(?:correct|right|model|sample|expected|suggested|possible) )?(?:answers?|solutions?)(?: (?:is|are|key))?|ans|anser|answr|awnser|anwser"
        "|key points?|(?:answer )?key|(?:correct|right)(?: (?:options?|choices?|responses?|ones?))?(?: (?:is|are))?"
        "|(?:show|reveal|see)(?: the)? (?:answers?|solutions?)|(?:correct|right) order|back",
        why="explanations?|corrections?|why|because|reason(?:ing)?|feedback|rationale|justification",
        right="correct(?: answer| one)?|right(?: answer| one)?|answer|true answer",
        true="true", false="false", true_letter="t|r", false_letter="f|w",
        wrong_option="(?:wrong|incorrect|false)(?: (?:answers?|options?|choices?))?|distractors?",
        points="points?|pts?|marks?|score|worth", topic="topics?|tags?|subject|category|chapter|unit",
        time="time(?: limit| allowed)?|seconds|limit", by="written by|author|by|made by|writer",
        aside="why the others are wrong|common (?:mistakes?|errors?)|(?:correct|incorrect) feedback|hints?|clues?|tips?|sources?|references?|notes?|difficulty|level|bloom(?:['’]s)? level|blooms"
        "|learning (?:outcomes?|goals?|objectives?)|objectives?|outcomes?|standards?|skills?|page|see also|remember|figure",
        key="answers?(?: key| sheet)?|key|solutions?(?: key)?|(?:correct|right) answers?|the answers|mark(?:ing)? scheme|answers and explanations|correct answer key", section="section|part|round|exercise|activity",
        bank="word ?(?:bank|box)|words?(?: to use)?|choose from|use these words",
        model="(?:sample|model|expected|possible|suggested|example|exemplary) (?:answers?|responses?|solutions?)|key points?",
        own="(?:in )?(?:your|the student['’]?s?['’]?) own words?|own words?|answers? (?:may|will|can)? ?vary|(?:open|free) answer",
        either="or", both="and", between="between", number="no|nr|number|#|id", kind="kind|type|question type|kind of question|format",
        because="because",
        page="page|p",
        see="see|cf|adapted|taken from|pp|ch",
        about_you="name|date|class|score|student|teacher|period|group|marks?",
        write="simplify|calculate|compute|convert|round|solve|find|work out|estimate|balance|draw|label|explain|describe|discuss|compare|define|outline|summari[sz]e|justify|evaluate|sketch|give|list|state|name|tell|write|why|how|what|in your own words",
        ordering="order|rank|sort (?:by|from)|sequence|sequencing|arrange|chronological(?:ly)?|first to last",
        speaks="could you|want (?:some )?more|want me to|can you (?:put|add|use|check|look|please)|let me know|would you like|do you want|do you need|shall i|should i|can i help|feel free|i can also|i could also|i hope",
        closed_kind="(?:multiple|single)[- ]?(?:choice|select|response|answer)s?|mcqs?|short(?: |-)?answers?|fill[- ]?in(?:[- ]the)?[- ]?(?:blanks?|gaps?)|cloze|gaps?|numeric(?:al)?|matching|ordering|checkbox(?:es)?|dropdown|text|choice",
        open_kind="open(?:[- ]?ended)?(?: response)?|essay|long answer|free (?:text|response)|paragraph",
        sort="bonus|exit|extra|warm[- ]?up|practice|starter|final|challenge",
        do="calculate|compute|convert|choose|circle|select|tick|mark|write|answer|fill|complete|match|read|listen|look|decide|put|underline|cross out|correct|translate|solve|use|now|say|state",
        letter_head="from|to|cc|bcc|subject|date|sent|re|phone|tel|telephone|fax|mobile|e-?mail|mail|web|address|room|place|when|where",
    ),
    "de": Sayings(
        question="fragen?|aufgaben?(?:stellung)?|fragetext|aussage|behauptung|vorderseite",
        option="antwort(?:möglichkeit(?:en)?|option(?:en)?)?|option(?:en)?|auswahl(?:möglichkeit(?:en)?)?|möglichkeit(?:en)?",
        answer="(?:die )?(?:(?:richtige|korrekte|richtig|korrekt)[rnes]* )?(?:antwort(?:en)?|lösung(?:en)?)(?: (?:ist|sind|lautet))?"
        "|richtig(?:e|es)?|korrekt|lsg|musterlösung|(?:richtige|korrekte) reihenfolge|rückseite",
        why="erklärung(?:en)?|begründung|erläuterung|warum|weil|grund|rückmeldung", right="richtig(?:e antwort)?|korrekt|stimmt",
        true="richtig|wahr|stimmt", false="falsch|unwahr|stimmt nicht", true_letter="r|w", false_letter="f",
        wrong_option="falsch(?:e antwort(?:en)?)?|distraktor(?:en)?", points="punkte?|pkt|p", topic="thema|themen|fach|stichworte?|kapitel",
        time="zeit(?:limit)?|sekunden", by="von|verfasst von|autorin|autor|geschrieben von",
        aside="hinweis|tipp|quelle|schwierigkeit(?:sgrad)?|niveau|anforderungsbereich|lernziel|anmerkung|bemerkung|seite|merke",
        key="lösungen|lösung|antworten|lösungsschlüssel|schlüssel", section="teil|abschnitt|runde|übung", bank="wortkasten|wörter|wortspeicher",
        model="muster(?:antwort|lösung)|beispiel(?:antwort|lösung)|mögliche (?:antwort|lösung)",
        own="eigene worte|in eigenen worten|individuelle (?:antwort|lösung)|freie antwort", either="oder", both="und", between="zwischen",
        number="nummer", kind="art|fragetyp|typ",
        because="weil|denn",
        page="seite|s",
        see="siehe|vgl",
        about_you="name|datum|klasse|punkte|note",
        write="berechne|vereinfache|löse|bestimme|runde|zeichne|erkläre|erklären|beschreibe|beschreiben|nenne|nennen|begründe|begründen|vergleiche|vergleichen|erläutere|skizziere|warum|wie|was",
        ordering="reihenfolge|ordne|ordnen|sortiere",
        speaks="möchtest du|möchten sie|soll ich|sag mir|ich kann auch|lass mich wissen",
        closed_kind="multiple choice|auswahl|lückentext|kurzantwort|zuordnung|ankreuzen",
        open_kind="offene? fragen?|offen|freitext|aufsatz",
        sort="zusatz|bonus|schluss|abschluss|einstiegs|übungs",
        do="kreuzt?e?|wählt?e?|markiert?e?|schreibt?e?|ergänzt?e?|beantwortet?e?|füllt?e?|vervollständigt?e?|ordnet?e?|lies|lest|hört?e?|entscheidet?e?|unterstreicht?e?|verbindet?e?|übersetzt?e?|löst?e?|berechnet?e?|setzt?e?",
        letter_head="von|an|betreff|datum|gesendet|telefon|adresse|ort",
    ),
    "fr": Sayings(
        question="questions?|énoncé|consigne|affirmation", option="réponses? possibles?|réponse|choix|options?|propositions?",
        answer="(?:la )?(?:(?:bonne|juste)s? )?(?:réponses?|solutions?)(?: (?:correctes?|justes?|exactes?))?(?: est)?|corrigé|correct|juste",
        why="explications?|pourquoi|justification|parce que|commentaire", right="correct|juste|bonne réponse|vraie?",
        true="vraie?|juste", false="fausse|faux", true_letter="v", false_letter="f",
        wrong_option="(?:mauvaise|fausse)s?(?: réponses?)?|distracteurs?", points="points?|pts", topic="thème|sujet|matière|chapitre|mots-clés",
        time="temps|durée|secondes", by="écrite? par|auteur|autrice|par", aside="indice|source|niveau|difficulté|remarque|page|objectif|aide",
        key="réponses|corrigé|solutions", section="partie|section|manche|exercice", bank="banque de mots|mots", model="réponse possible|exemple de réponse",
        own="réponse (?:libre|personnelle)|avec vos mots",
        either="ou", both="et", between="entre", number="numéro|n°", kind="genre|type",
        because="parce que",
        page="page|p",
        see="voir|cf|d'après",
        about_you="nom|prénom|date|classe|note",
        write="calcule[rz]?|simplifie[rz]?|expliqu(?:e|ez)|décri(?:s|vez)|cite[rz]?|compar(?:e|ez)|donne[rz]?|pourquoi|comment",
        ordering="l['’]ordre|classe[rz]?|range[rz]?",
        speaks="voulez-vous|veux-tu|souhaitez-vous|n['’]hésitez pas|dites-moi|je peux aussi",
        closed_kind="choix multiple|qcm|réponse courte|texte à trous",
        open_kind="question ouverte|ouverte?|rédaction",
        do="coche[zr]?|choisi\\w*|entoure[zr]?|écri\\w*|répond\\w*|compl[èé]te[zr]?|relie[zr]?|lis(?:ez)?|écoute[zr]?|souligne[zr]?|tradui\\w*",
        letter_head="de|à|objet|envoyé|téléphone|adresse",
    ),
    "es": Sayings(
        question="preguntas?|enunciado", option="opci(?:ón|ones)|alternativas?|respuestas? posibles?|respuesta",
        answer="(?:la )?(?:respuestas?|soluci(?:ón|ones))(?: (?:correctas?|es))*|correct[ao]|clave",
        why="explicaci(?:ón|ones)|por qué|justificación|porque|razón", right="correct[ao]|respuesta correcta",
        true="verdader[oa]|ciert[oa]", false="fals[oa]", true_letter="v", false_letter="f",
        wrong_option="(?:respuesta )?(?:incorrect|errón)[ao]s?|distractor(?:es)?", points="puntos?|pts?", topic="temas?|asignatura|capítulo|etiquetas",
        time="tiempo|segundos", by="escrit[ao] por|autora?|por", aside="pista|fuente|nivel|dificultad|nota|página|objetivo",
        key="respuestas|soluciones|claves?(?: de respuestas)?", section="sección|parte|ronda|ejercicio|actividad", bank="banco de palabras|palabras",
        model="respuesta (?:posible|modelo)|ejemplo de respuesta",
        own="respuesta (?:libre|abierta|personal)|con tus palabras", either="o", both="y", between="entre", number="número|n°", kind="tipo",
        because="porque",
        page="página|pág",
        see="véase|cf",
        about_you="nombre|fecha|clase|curso|nota",
        write="calcula|simplifica|explica|explique|describe|describa|compara|nombra|escribe|por qué|cómo",
        ordering="orden|ordena|ordenar|ordene",
        speaks="quieres que|te gustaría|avísame|puedo también|no dudes",
        closed_kind="opción múltiple|respuesta corta|completar",
        open_kind="abierta|ensayo|desarrollo",
        do="marca|indica|di|elige|escoge|señala|escribe|responde|contesta|completa|rellena|relaciona|une|lee|escucha|subraya|traduce",
        letter_head="de|para|asunto|fecha|enviado|teléfono|dirección",
    ),
    "it": Sayings(
        question="domand[ae]|quesit[oi]", option="opzion[ei]|risposta|alternative?|scelte?|possibili risposte",
        answer="(?:la )?(?:rispost[ae]|soluzion[ei])(?: (?:corrett[ae]|giust[ae]|esatt[ae]|è))*|corretta|giusta|chiave",
        why="spiegazion[ei]|perché|motivazione|commento", right="corrett[ao]|giust[ao]|esatt[ao]", true="ver[oa]", false="fals[oa]",
        true_letter="v", false_letter="f", wrong_option="(?:risposta )?(?:sbagliat|errat)[ae]|distrattor[ei]", points="punt[oi]|punteggio",
        topic="argoment[oi]|tem[ai]|materia", time="tempo|secondi", by="scritt[oa] da|autore|autrice",
        aside="suggerimento|fonte|livello|difficoltà|nota|pagina|obiettivo", key="risposte|soluzioni", section="sezione|parte|esercizio",
        bank="parole", model="risposta possibile|esempio di risposta",
        own="risposta (?:libera|aperta)|con parole tue", either="o|oppure", both="e", between="tra|fra", number="numero|n°", kind="tipo",
        because="perché",
        page="pagina|pag",
        see="vedi|cfr",
        about_you="nome|cognome|data|classe|voto",
        write="calcola|semplifica|spiega|descrivi|confronta|elenca|scrivi|perché|come",
        ordering="ordine|ordina|riordina",
        speaks="vuoi che|ti piacerebbe|fammi sapere|posso anche",
        closed_kind="scelta multipla|risposta breve|completamento",
        open_kind="aperta|tema",
        do="scegli|segna|scrivi|rispondi|completa|collega|leggi|ascolta|sottolinea|traduci",
        letter_head="da|a|oggetto|inviato|telefono|indirizzo",
    ),
    "pt": Sayings(
        question="perguntas?|quest(?:ão|ões)|enunciado", option="opç(?:ão|ões)|alternativas?|resposta",
        answer="(?:a )?(?:respostas?|soluç(?:ão|ões))(?: (?:corretas?|certas?|é))*|gabarito|corret[ao]|certa",
        why="explicaç(?:ão|ões)|por ?quê|justificativa|justificação|porque", right="corret[ao]|cert[ao]|resposta correta",
        true="verdadeir[oa]|cert[oa]", false="fals[oa]|errad[oa]", true_letter="v", false_letter="f",
        wrong_option="(?:resposta )?(?:errad|incorret)[ao]|distratore?s?", points="pontos?|pontuação", topic="temas?|tópicos?|disciplina",
        time="tempo|segundos", by="escrit[ao] por|autora?", aside="dica|fonte|nível|dificuldade|nota|página|objetivo",
        key="respostas|gabarito|soluções", section="seção|secção|parte|exercício|atividade", bank="banco de palavras|palavras",
        model="resposta possível|exemplo de resposta",
        own="resposta (?:livre|aberta|pessoal)", either="ou", both="e", between="entre", number="número|n°", kind="tipo",
        because="porque",
        page="página|pág",
        see="veja|cf",
        about_you="nome|data|turma|nota",
        write="explique|descreva|compare|cite|escreva|por que|como",
        ordering="ordem|ordene|ordena",
        speaks="gostaria|quer que eu|avise-me|posso também",
        closed_kind="múltipla escolha|resposta curta|completar",
        open_kind="aberta|dissertativa",
        do="escolh[ae]|marque|assinal[ae]|escreva|respond[ae]|complete|preench[ae]|ligue|leia|ouça|sublinhe|traduza",
        letter_head="de|para|assunto|data|enviado|telefone|endereço",
    ),
    "nl": Sayings(
        question="vra(?:ag|gen)", option="opties?|keuzes?|antwoord(?:mogelijkhe(?:id|den)|opties?)?|alternatie(?:f|ven)",
        answer="(?:het )?(?:(?:juiste?|goede?|correcte?) )?(?:antwoord(?:en)?|oplossing(?:en)?)(?: is)?|juist|goed|modelantwoord(?:en)?",
        why="uitleg|toelichting|waarom|omdat|verklaring", right="juist|goed|correct", true="waar|juist", false="onwaar|onjuist|niet waar",
        true_letter="w", false_letter="o|n", wrong_option="foute?(?: antwoord(?:en)?)?|onjuiste?(?: antwoord(?:en)?)?|afleiders?",
        points="punt(?:en)?|p", topic="onderwerp(?:en)?|thema|vak|hoofdstuk", time="tijd(?:slimiet)?|seconden", by="geschreven door|auteur|door",
        aside="tip|bron|niveau|moeilijkheid(?:sgraad)?|opmerking|pagina|leerdoel", key="antwoorden|oplossingen|antwoordmodel",
        section="deel|onderdeel|ronde|oefening|opdracht", bank="woorden(?:lijst)?", own="eigen woorden|vrij antwoord", either="of", both="en", between="tussen", number="nummer", kind="soort|type",
        because="omdat|want",
        model="modelantwoord(?:en)?|voorbeeldantwoord(?:en)?|mogelijk antwoord",
        page="pagina|blz",
        see="zie",
        about_you="naam|datum|klas|cijfer",
        write="leg uit|beschrijf|vergelijk|noem|schrijf|waarom|hoe",
        ordering="volgorde|rangschik",
        speaks="wil je|zal ik|laat me weten|ik kan ook",
        closed_kind="meerkeuze|kort antwoord|invullen",
        open_kind="open vraag|open",
        do="kies|kruis|schrijf|beantwoord|vul|maak|verbind|lees|luister|onderstreep|vertaal",
        letter_head="van|aan|onderwerp|verzonden|telefoon|adres",
    ),
    "sv": Sayings(
        question="fråg(?:a|or|eställning)", option="alternativ|svarsalternativ|svar|val",
        answer="(?:(?:rätt|korrekta?) )?(?:svar(?:et)?|lösning(?:ar)?)(?: är)?|rätt|facit", why="förklaring(?:ar)?|varför|motivering|därför att",
        right="rätt(?: svar)?|korrekt", true="sant?|rätt", false="falskt?|fel", true_letter="s", false_letter="f",
        wrong_option="fel(?:aktigt)?(?: svar)?", points="poäng|p", topic="ämne|tema|kapitel", time="tid|sekunder", by="skriven av|författare|av",
        aside="tips|ledtråd|källa|nivå|svårighetsgrad|anmärkning|sida", key="svar|facit|lösningar", section="del|avsnitt|övning", bank="ordbank|ord",
        own="egna ord|fritt svar", either="eller", both="och", between="mellan", number="nummer", kind="typ|slag",
        because="därför att|eftersom",
        page="sida",
        see="se sidan",
        about_you="namn|datum|klass",
        write="förklara|beskriv|jämför|nämn|skriv|varför|hur",
        ordering="ordning|ordna",
        speaks="vill du|ska jag|säg till|jag kan också",
        closed_kind="flerval|kort svar|lucktext",
        open_kind="öppen fråga|öppen|uppsats",
        do="välj|kryssa|ringa|skriv|svara|fyll|komplettera|para|läs|lyssna|stryk|översätt",
        letter_head="från|till|ämne|skickat|telefon|adress",
    ),
    "pl": Sayings(
        question="pytani[ea]", option="opcj[ae]|odpowied(?:ź|zi)|wariant(?:y)?|możliwości",
        answer="(?:(?:poprawna|prawidłowa|poprawne|prawidłowe) )?(?:odpowied(?:ź|zi)|rozwiązani[ea])(?: (?:poprawna|prawidłowa|to))?"
        "|poprawn[ae]|prawidłow[ae]|odp|klucz", why="wyjaśnieni[ea]|uzasadnienie|dlaczego|ponieważ", right="poprawn[ae]|prawidłow[ae]|dobrze",
        true="prawda|tak", false="fałsz|nieprawda", true_letter="p", false_letter="f",
        wrong_option="(?:błędna|zła|niepoprawna)(?: odpowiedź)?|dystraktor", points="punkt(?:y|ów)?|pkt", topic="temat(?:y)?|przedmiot|dział",
        time="czas|sekundy?", by="autor(?:ka)?|napisał[a]?", aside="wskazówka|źródło|poziom|trudność|uwaga|strona", key="odpowiedzi|klucz(?: odpowiedzi)?|rozwiązania",
        section="część|sekcja|ćwiczenie", bank="słowa|bank słów", own="własnymi słowami|odpowiedź własna", either="lub|albo|czy", both="i|oraz", between="między|pomiędzy", number="numer|lp", kind="typ|rodzaj",
        because="ponieważ",
        page="strona|str",
        see="zob|zobacz|por|patrz",
        about_you="imię|nazwisko|data|klasa|ocena",
        write="wyjaśnij|opisz|porównaj|wymień|napisz|dlaczego|jak",
        ordering="kolejność|kolejności|uporządkuj|ułóż",
        speaks="czy chcesz|daj znać|mogę też",
        closed_kind="wielokrotny wybór|krótka odpowiedź|luki",
        do="wybierz|zaznacz|napisz|odpowiedz|uzupełnij|połącz|przeczytaj|posłuchaj|podkreśl|przetłumacz|zdecyduj",
        open_kind="otwarte|wypracowanie",
        letter_head="od|do|temat|wysłano|telefon|adres",
    ),
    "tr": Sayings(
        question="soru(?:lar)?", option="seçenek(?:ler)?|şık(?:lar)?|cevap|yanıt",
        answer="(?:doğru )?(?:cevap(?:lar)?|yanıt(?:lar)?|seçenek|şık)|çözüm|cevap anahtarı|doğru", why="açıklama(?:sı)?|neden|çünkü|gerekçe",
        right="doğru(?: cevap)?", true="doğru", false="yanlış(?: mı)?", true_letter="d", false_letter="y", wrong_option="yanlış(?: (?:cevap|seçenek))?|çeldirici",
        points="puan", topic="konu|ders|ünite", time="süre|saniye", by="yazan|yazar", aside="ipucu|kaynak|seviye|zorluk|not|sayfa",
        key="cevaplar|cevap anahtarı|yanıtlar|çözümler", section="bölüm|kısım|alıştırma|etkinlik", bank="kelimeler|sözcükler", own="kendi (?:cümlelerinle|sözcüklerinle)",
        either="veya|ya da|mu", both="ve", number="numara|sıra", kind="tür|tip",
        because="çünkü",
        page="sayfa",
        see="bkz",
        about_you="ad|soyad|tarih|sınıf|numara",
        write="açıkla(?:yınız)?|tanımla(?:yınız)?|karşılaştır|yaz(?:ınız)?|neden|nasıl",
        ordering="sırala|sıralayınız|sıraya",
        speaks="ister misin|ister misiniz|isterseniz|haber ver",
        closed_kind="çoktan seçmeli|kısa cevap|boşluk doldurma",
        open_kind="açık uçlu",
        letter_head="kimden|kime|konu|tarih|telefon|adres",
    ),
    "el": Sayings(
        question="ερώτηση|ερωτήσεις|ερ", option="επιλογ(?:ή|ές)|απάντηση",
        answer="(?:η )?(?:σωστή |ορθή )?(?:απάντηση|απαντήσεις|λύση|λύσεις)(?: είναι)?|σωστ[όήά]", why="εξήγηση|επεξήγηση|αιτιολόγηση|γιατί|διότι|επειδή",
        right="σωστ[όή]|ορθ[όή]", true="σωστό|αληθές", false="λάθος|ψευδές", true_letter="σ", false_letter="λ",
        wrong_option="λάθος(?: απάντηση)?|λανθασμένη(?: απάντηση)?", points="βαθμοί|βαθμός|μονάδες|μόρια", topic="θέμα|κεφάλαιο|ενότητα|μάθημα", time="χρόνος|δευτερόλεπτα",
        by="συντάκτης|από", aside="υπόδειξη|πηγή|επίπεδο|δυσκολία|σημείωση|σελίδα", key="απαντήσεις|λύσεις", section="μέρος|ενότητα", bank="λέξεις",
        own="με δικά σου λόγια|ελεύθερη απάντηση", either="ή", both="και", between="μεταξύ", number="αριθμός|αρ|α/α", kind="είδος|τύπος",
        because="γιατί|διότι|επειδή",
        page="σελίδα",
        see="βλ|δες",
        about_you="όνομα|ονοματεπώνυμο|ημερομηνία|τάξη",
        write="εξήγησε|εξηγήστε|περίγραψε|περιγράψτε|γράψε|γράψτε|γιατί|πώς",
        ordering="σειρά|ταξινόμησε",
        speaks="θέλεις να|θα ήθελες|πες μου",
        closed_kind="πολλαπλής επιλογής|σύντομη απάντηση",
        open_kind="ανοιχτή|ανάπτυξης",
        letter_head="από|προς|θέμα|τηλέφωνο",
    ),
    "ru": Sayings(
        question="вопросы?|задани[ея]", option="вариант(?:ы)?(?: ответа)?|ответ",
        answer="(?:правильный |правильные |верный |верные )?(?:ответы?|решени[ея])|правильно|верно|ключ", why="объяснени[ея]|пояснени[ея]|почему|потому что|обоснование",
        right="правильно|верно|правильный(?: ответ)?|верный", true="верно|правда|истина|да", false="неверно|ложь|неправда|нет", true_letter="в|и", false_letter="н|л",
        wrong_option="(?:неправильный|неверный)(?: ответ| вариант)?", points="балл(?:ы|а|ов)?|очк(?:и|ов)", topic="тем[аы]|предмет|раздел", time="время|секунды",
        by="автор|составил", aside="подсказка|источник|уровень|сложность|примечание|страница", key="ответы|ключ(?:и)?|решения", section="часть|раздел", bank="слова",
        own="своими словами|свободный ответ", either="или", both="и", between="между|от", number="номер|№", kind="тип|вид",
        because="потому что",
        page="страница|стр",
        see="см",
        about_you="имя|фамилия|дата|класс|оценка",
        write="объясните|опишите|сравните|назовите|напишите|почему|как",
        ordering="порядке|порядок|расположите",
        speaks="хотите|дайте знать|могу также",
        closed_kind="множественный выбор|выбор|краткий ответ",
        open_kind="открытый|эссе",
        letter_head="от|кому|тема|дата|телефон|адрес",
    ),
    "uk": Sayings(
        question="запитання|питання|завдання", option="варіант(?:и)?(?: відповіді)?|відповідь",
        answer="(?:правильна |правильні |вірна )?(?:відповід(?:ь|і)|розв['’ʼ]язок)|правильно|ключ", why="пояснення|обґрунтування|чому|тому що|бо",
        right="правильно|правильна(?: відповідь)?|вірно", true="правда|правильно|так|істина", false="неправда|неправильно|ні|хиба", true_letter="п|т", false_letter="н|х",
        wrong_option="неправильна(?: відповідь)?|хибна(?: відповідь)?", points="бал(?:и|ів)?", topic="тем[аи]|предмет|розділ", time="час|секунди", by="автор(?:ка)?|склав|склала",
        aside="підказка|джерело|рівень|складність|примітка|сторінка", key="відповіді|ключ(?:і)?|розв['’ʼ]язки", section="частина|розділ", bank="слова", own="своїми словами",
        either="або|чи", both="і|та|й", between="між|від", number="номер|№", kind="тип|вид",
        because="тому що",
        page="сторінка|стор",
        see="див",
        about_you="ім['’ʼ]я|прізвище|дата|клас|оцінка",
        write="поясніть|опишіть|порівняйте|назвіть|напишіть|чому|як",
        ordering="порядку|порядок|розташуйте",
        speaks="хочете|бажаєте|дайте знати|можу також",
        closed_kind="множинний вибір|вибір|коротка відповідь",
        open_kind="відкрите|есе",
        letter_head="від|кому|тема|дата|телефон|адреса",
    ),
    "ar": Sayings(
        question="ال?سؤال|ال?أسئلة|سؤال", option="ال?خيار(?:ات)?|ال?اختيار(?:ات)?|خيار(?:ات)?",
        answer="(?:ال)?(?:إجابة|اجابة|جواب|إجابات|حل|حلول)(?: (?:ال)?(?:صحيحة|صحيح|هي|هو))*|(?:ال)?صحيح(?:ة)?", why="(?:ال)?(?:شرح|تفسير|توضيح|سبب)|لماذا|لأن",
        right="صحيح(?:ة)?|إجابة صحيحة", true="صحيح|صح|صواب", false="خطأ|خاطئ|غير صحيح", true_letter="ص", false_letter="خ",
        wrong_option="(?:إجابة )?(?:خاطئة|خطأ)", points="(?:ال)?(?:نقاط|نقطة|درجات|درجة|علامة|علامات)", topic="(?:ال)?(?:موضوع|مادة|وحدة)", time="(?:ال)?(?:وقت|زمن|ثوان)", by="(?:ال)?كاتب|بقلم",
        aside="تلميح|(?:ال)?مصدر|(?:ال)?مستوى|(?:ال)?صعوبة|ملاحظة|صفحة", key="(?:ال)?(?:إجابات|أجوبة|حلول)|مفتاح (?:ال)?(?:إجابة|إجابات)", section="(?:ال)?(?:قسم|جزء)", bank="(?:ال)?كلمات",
        own="بأسلوبك|بكلماتك", either="أو", both="و", number="(?:ال)?رقم|م", kind="(?:ال)?نوع",
        because="لأن",
        page="صفحة",
        see="انظر",
        about_you="(?:ال)?اسم|(?:ال)?تاريخ|(?:ال)?صف",
        write="اشرح|صف|قارن|اذكر|اكتب|لماذا|كيف",
        ordering="رتب|ترتيب",
        speaks="هل تريد|هل ترغب|أخبرني",
        closed_kind="اختيار من متعدد|إجابة قصيرة",
        open_kind="مفتوح|مقال",
        letter_head="من|إلى|الموضوع|التاريخ|هاتف",
    ),
    "ja": Sayings(
        question="問題|問い|問|質問|設問", option="選択肢|選択|回答", answer="正解|正答|解答|答え|答|こたえ|回答", why="解説|説明|理由|なぜなら", right="正解|正しい|○", true="正しい|正|○|はい|本当",
        false="誤り|誤|×|いいえ|間違い", wrong_option="不正解|誤答", points="点数|配点|点", topic="テーマ|単元|科目|分野", time="制限時間|時間|秒", by="作成者|作者", aside="ヒント|出典|難易度|レベル|備考|注|ページ",
        key="解答|正解|答え|解答欄", section="第|大問|パート", bank="語群", own="自由記述|自由解答", either="または|あるいは", both="と|および", number="番号", kind="種類|形式",
        because="なぜなら",
        page="ページ",
        see="参照",
        about_you="名前|氏名|日付|組|番号",
        write="説明しなさい|説明せよ|述べよ|書きなさい",
        ordering="順番|順に|並べ",
        speaks="ご希望|お知らせください|いかがでしょうか",
        closed_kind="選択式|短答|穴埋め",
        open_kind="記述式|自由回答",
        letter_head="差出人|宛先|件名|日時|電話",
    ),
    "zh": Sayings(
        question="问题|题目|試題|试题|問題|题干|题", option="选项|選項|选择|備選答案|备选答案", answer="正确答案|参考答案|标准答案|正確答案|参考解答|答案|答|正确选项|正确", why="解析|解释|说明|原因|理由|解說|因为",
        right="正确|正確|对|答案", true="正确|正確|对|對|真|是", false="错误|錯誤|错|錯|假|否", wrong_option="错误答案|干扰项", points="分值|分数|得分|分", topic="知识点|主题|科目|章节|标签", time="时间|时限|秒", by="作者|出题人|命题人",
        aside="提示|来源|出处|难度|等级|备注|页码|考点", key="答案|参考答案|正确答案|答案与解析", section="第|部分|章节", bank="词库|备选词", own="自由作答|答案不唯一", either="或|或者", both="和|与", number="序号|编号|题号", kind="题型|类型",
        because="因为",
        page="页|頁|第",
        see="见|参见",
        about_you="姓名|日期|班级|学号",
        write="解释|说明|描述|比较|简述|写出|为什么",
        ordering="顺序|排序|排列",
        speaks="需要我|你想要|您想要|告诉我",
        closed_kind="选择题|单选题?|判断题|多选题?|填空题?|简答题?",
        open_kind="问答题|论述题|开放题?",
        letter_head="发件人|收件人|主题|日期|电话|地址",
    ),
}  # fmt: skip


@cache
def words(role: str, language: str = "") -> str:
    """The words for one role, the longest first, as a group of a regular expression: of all languages, or of one and of
    English. Small words that stand in any text ("of" is Dutch for "or") are to be looked for in one language alone."""
    spoken = [BY_LANGUAGE["en"], *filter(None, [BY_LANGUAGE.get(language[:2])])] if language else BY_LANGUAGE.values()
    found = {word for sayings in spoken for word in _split(getattr(sayings, role)) if word}
    return "(?:" + "|".join(word.replace(" ", r"\s+") for word in sorted(found, key=lambda w: (-len(w), w))) + ")"


def _split(said: str) -> list[str]:
    """The words between bars that stand in no brackets."""
    parts, depth = [""], 0
    for sign in said:
        depth += (sign == "(") - (sign == ")")
        if sign == "|" and not depth:
            parts.append("")
        else:
            parts[-1] += sign
    return parts


@cache
def saying(role: str) -> Callable[[str], "re.Match[str] | None"]:
    """Matches a text that is nothing but a word of this role."""
    return re.compile(rf"\s*{words(role)}\s*[.:：?]?\s*", re.I).fullmatch
