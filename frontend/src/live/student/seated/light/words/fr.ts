import type { Words } from '@/words'
import type en from './en'

export default {
  your_light: 'Ta lumière',
  change: 'Changer ta lumière',
  loading: 'Un instant…',
  which_part: 'Quelle partie',
  draw_one: 'Tirer au hasard',
  how_earned:
    'Tu gagnes des coquillages en répondant, juste ou faux, en progressant et en aidant une équipe. Aucun ne se perd.',
  for_now: 'Cette lumière ne vaut que pour cette session.',
  take: 'Prendre cette lumière',
  leave_it: 'Ne rien changer',
  next_time: 'Tu l’auras dès la prochaine session.',
  shells: { one: '{n} coquillage', many: '{n} coquillages', other: '{n} coquillages' },
  you_have: { one: 'Tu as {n} coquillage.', many: 'Tu as {n} coquillages.', other: 'Tu as {n} coquillages.' },
  earned: {
    one: 'Cette session t’a donné {n} coquillage.',
    many: 'Cette session t’a donné {n} coquillages.',
    other: 'Cette session t’a donné {n} coquillages.',
  },
  take_for: {
    one: 'La prendre pour {n} coquillage',
    many: 'La prendre pour {n} coquillages',
    other: 'La prendre pour {n} coquillages',
  },
  more_wanted: {
    one: 'Il te manque {n} coquillage.',
    many: 'Il te manque {n} coquillages.',
    other: 'Il te manque {n} coquillages.',
  },
} satisfies Words<typeof en>
