import type { Words } from '@/words'
import type en from './en'

export default {
  your_password_is_changed_other_devices: 'Ihr Passwort ist geändert. Andere Geräte wurden abgemeldet.',
  your_account: 'Ihr Konto',
  change_your_password: 'Passwort ändern',
  present_password: 'Bisheriges Passwort',
  new_password: 'Neues Passwort',
  change_the_password: 'Passwort ändern',
  your_school: 'Ihre Schule',
  it_has_no_name_yet: 'Sie hat noch keinen Namen.',
  colleagues_and_what_the_school_decides: 'Kollegium, und was die Schule festlegt',
  single_keys_on_the_desk: 'Einzelne Tasten am Pult',
  space_for_the_next_step_c:
    'Leertaste für den nächsten Schritt, C für den Vorhang, ← und → für zurück und überspringen. Wird auf diesem Gerät aufgehoben.',
  write_questions_ask_them_live_and:
    'Fragen schreiben, live stellen und sofort sehen, was die Klasse verstanden hat.',
  leaves_the_school: '{name} verlässt die Schule',
  all_sets_media_classes_and_sessions:
    'Alle Sets, Medien, Klassen und Runden von {name} gehen an jemanden aus dem Kollegium, und das Konto meldet sich nicht mehr an. Das lässt sich nicht rückgängig machen.',
  they_go_to: 'Sie gehen an',
  hand_it_all_over: 'Alles übergeben',
  invite_a_colleague: 'Jemanden einladen',
  with_an_address_the_link_is:
    'Mit einer Adresse wird der Link dorthin gesendet. Er legt ein Konto an, einmal, innerhalb einer Woche.',
  send_a_link: 'Link senden',
  make_a_link: 'Link erstellen',
  for_in_the_outbox: 'Für {sent_to}, im Postausgang:',
  sent_to: 'Gesendet an {sent_to}:',
  for_your_colleague: 'Zum Weitergeben:',
  outbox: 'Postausgang',
  no_mail_server_is_set_up:
    'Es ist kein Mailserver eingerichtet, deshalb bleibt hier, was gesendet wird. Wer den Server betreibt, kann einen nennen (EMAIL_URL).',
  nothing_was_sent_yet: 'Noch wurde nichts gesendet',
  invitations_to_colleagues_messages_that_conf:
    'Hier liegen Einladungen an Kolleginnen und Kollegen, Nachrichten zur Bestätigung einer Adresse und verschickte Ergebnisse.',
  to: '{when} · an {to}',
  what_fits_a_pattern: 'was zu einem Muster passt',
  what_the_school_decides: 'Was die Schule festlegt',
  for_all_teachers_each_can_set: 'Für alle Lehrkräfte. Für eine einzelne Runde kann jede davon abweichen.',
  a_keeper_of_the_school_can: 'Das kann ändern, wer die Schule verwaltet.',
  name_of_the_school: 'Name der Schule',
  its_clocks: 'Ihre Uhrzeit',
  set_work_opens_and_is_due: 'Danach öffnen Aufgaben und werden fällig.',
  students_are_known_by: 'Lernende sind bekannt durch',
  a_record_id_is: 'Eine Kennung ist',
  pattern: 'Muster',
  a_figure_a_letter_any_of: '# eine Ziffer, ? ein Buchstabe, * beliebig viel: GB-####',
  confirm_e_mail_addresses: 'E-Mail-Adressen bestätigen lassen',
  who_gives_an_address_as_record:
    'Wer als Kennung eine Adresse angibt, bekommt eine Nachricht mit einem Link; die Auswertung sagt, wer ihn geöffnet hat.',
  names_stay_in_sessions_for_so: 'So viele Monate bleiben Namen in den Runden',
  then_they_are_erased_and_the:
    'Danach werden sie gelöscht, die Zahlen bleiben. Leer: bis jemand sie löscht.',
  sessions_stay_for_so_many_months: 'So viele Monate bleiben Runden',
  then_they_go_with_all_that:
    'Danach werden sie mit allem gelöscht, was darin war. Leer: bis jemand sie löscht.',
  also_unfit_as_names: 'Auch als Namen ungeeignet',
  one_a_line_a_list_in: 'Eines je Zeile. Eine Liste in mehreren Sprachen gibt es schon.',
  let_through_all_the_same: 'Trotzdem zulassen',
  words_of_that_list_that_are: 'Wörter dieser Liste, die hier Namen sind.',
  decide_it_so: 'So festlegen',
  languages_of_students_devices: 'Sprachen auf den Geräten der Lernenden',
  a_device_speaks_its_own_language:
    'Ein Gerät spricht seine eigene Sprache, wenn sie dabei ist. Auf dem Gerät kann eine andere gewählt werden.',
  where_it_is_not_it_speaks: 'Sonst spricht es',
  keeper_of_the_school: 'verwaltet die Schule',
  fetching_your_school: 'Ihre Schule wird geladen…',
  what_a_teacher_makes_stays_hers:
    'Was eine Lehrkraft erstellt, gehört ihr; niemand sonst sieht ihre Sets, Runden und Klassen.',
  role_of: 'Rolle von {name}',
  leaves: 'Geht…',
  sign_in: 'Anmelden',
  e_mail_address: 'E-Mail-Adresse',
  password: 'Passwort',
  new_here: 'Neu hier?',
  make_an_account: 'Konto anlegen',
  new_here_whoever_runs_this_server:
    'Neu hier? Wer diesen Server betreibt, kann Ihnen einen Link für ein Konto geben.',
  the_join_page: 'die Seite zum Mitmachen',
  your_name_as_your_class_knows: 'Ihr Name, wie ihn Ihre Klasse kennt',
  at_least_eight_characters_and_none: 'Mindestens acht Zeichen, und keines der häufigen.',
  make_the_account: 'Konto anlegen',
  you_have_one: 'Sie haben eines?',
  something_goes_at_once: 'Etwas verschwindet sofort',
  it_is_older_than_what_you:
    'Es ist älter, als Sie jetzt festgelegt haben. Innerhalb von zehn Minuten ist es weg, endgültig.',
  and_more: 'und {n} weitere',
  the_school_has_decided_so: 'Das ist für die Schule so festgelegt.',
  handed_over_sets_classes_sessions: 'Übergeben: {sets} Sets, {classes} Klassen, {sessions} Runden.',
  n_teachers: { one: '{n} Lehrkraft', other: '{n} Lehrkräfte' },
  teacher: 'Lehrkraft',
  anything: 'beliebig',
  an_e_mail_address: 'eine E-Mail-Adresse',
  language: 'Sprache',
  language_hint:
    'Was diese Seiten sprechen und worin geschrieben ist, was für Sie erstellt wird. Geräte der Lernenden und der große Bildschirm sprechen ihre eigene.',
  students_need_none_they_go_to: 'Lernende brauchen keines: Sie gehen auf {page}.',
  names_are_erased_in: {
    one: 'Namen werden gelöscht in {sessions}, von {n} Person:',
    other: 'Namen werden gelöscht in {sessions}, von {n} Personen:',
  },
  for_good_with_all_that_was: {
    one: 'Endgültig, mit allem, was darin war, verschwinden {sessions}, von {n} Person:',
    other: 'Endgültig, mit allem, was darin war, verschwinden {sessions}, von {n} Personen:',
  },
  name_of_yours: '{name}, Sie',
} satisfies Words<typeof en>
