import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'déplace le curseur',
  choose: 'Déplace le curseur',
  less: 'Un pas de moins',
  more: 'Un pas de plus',
  your_number: 'Ton nombre, de {low} à {high}',
  middle_half: 'La réponse du milieu est {middle}\u00a0; la moitié du milieu va de {low} à {high}.',
} satisfies Words<typeof en>
