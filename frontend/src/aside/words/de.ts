import type { Words } from '@/words'
import type en from './en'

export default {
  being_made: 'wird erstellt',
  being_made_2: 'Wird erstellt: {live}',
  made_for_you: 'Für Sie erstellt',
  made_aside_whatever_page_you_are:
    'Das läuft nebenher, auf welcher Seite Sie auch sind. Dateien bleiben eine Woche.',
  of: '{title}: {done} von {total}',
  of_2: '· {done} von {total}',
  after_of: ', nach {done} von {total}',
  fetch_it: 'Abholen',
  give_it_up: 'Abbrechen',
  it_could_not_be_made: 'Es konnte nicht erstellt werden.',
  is_made: '„{title}“ ist fertig.',
  done: '„{title}“: fertig.',
  waiting: 'wartet',
  made: 'fertig',
  failed: 'misslungen',
} satisfies Words<typeof en>
