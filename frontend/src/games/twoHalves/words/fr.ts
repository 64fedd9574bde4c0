import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Deux moitiés',
  join: 'Tout est là en deux moitiés. Touche une moitié, puis celle qui va avec.',
  lights: 'Ce qui va ensemble se rejoint, et sa lumière s’allume.',
  first: 'Pour chacun, c’est le premier essai qui compte. Prends ton temps.',
  wins: 'En tête\u00a0: qui en a réuni le plus du premier coup.',
  halves: 'Moitiés',
  others: 'Leurs autres moitiés',
  joined: 'Réunis',
} satisfies Words<typeof en>
