import type { Words } from '@/words'
import type en from './en'

export default {
  your_light: 'Dein Licht',
  change: 'Dein Licht ändern',
  loading: 'Einen Moment…',
  which_part: 'Welcher Teil',
  draw_one: 'Eins auslosen',
  how_earned:
    'Muscheln gibt es fürs Antworten, richtig oder falsch, fürs Besserwerden und fürs Helfen im Team. Keine geht je verloren.',
  for_now: 'Dieses Licht gilt nur hier und jetzt.',
  take: 'Dieses Licht nehmen',
  leave_it: 'Alles so lassen',
  next_time: 'Du hast es ab der nächsten Runde.',
  shells: { one: '{n} Muschel', other: '{n} Muscheln' },
  you_have: { one: 'Du hast {n} Muschel.', other: 'Du hast {n} Muscheln.' },
  earned: { one: 'Diese Runde gab dir {n} Muschel.', other: 'Diese Runde gab dir {n} Muscheln.' },
  take_for: { one: 'Für {n} Muschel nehmen', other: 'Für {n} Muscheln nehmen' },
  more_wanted: { one: 'Dafür fehlt dir {n} Muschel.', other: 'Dafür fehlen dir {n} Muscheln.' },
} satisfies Words<typeof en>
