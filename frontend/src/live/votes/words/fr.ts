import type { Words } from '@/words'
import type en from './en'

export default {
  first_vote: 'Premier vote',
  second_vote: 'Second vote',
  right_before_after: '{before} de réponses justes avant, {after} après.',
  gained: 'Gagné sur ce qui restait\u00a0: {share}.',
  changed: {
    one: '{changed} sur {n} qui a voté deux fois a changé de réponse.',
    many: '{changed} sur {n} qui ont voté deux fois ont changé de réponse.',
    other: '{changed} sur {n} qui ont voté deux fois ont changé de réponse.',
  },
  to: 'vers',
} satisfies Words<typeof en>
