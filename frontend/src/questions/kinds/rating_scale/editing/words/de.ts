import type { Words } from '@/words'
import type en from './en'

export default {
  steps: '{value} Stufen',
  steps_2: 'Stufen',
  statement: 'Aussage',
  step_1_means: 'Stufe 1 heißt',
  step_means: 'Stufe {step} heißt',
  label: 'Bewertungsskala',
  hint: 'Aussagen werden in Stufen bewertet',
} satisfies Words<typeof en>
