import type { Words } from '@/words'
import type en from './en'

export default {
  about_questions_for_each: 'etwa {count} Fragen für alle',
  it_ends_whichever_comes_first: 'Es endet, je nachdem, was zuerst kommt,',
  for_all_after: 'für alle nach',
  minutes: 'Minuten',
  for_each_one_after: 'für jede und jeden nach',
  questions: 'Fragen',
  for_each_one_with: 'für jede und jeden mit',
  oil_earned: 'verdientem Öl',
  gusts: 'Böen',
  players_may_put_out_the_flame:
    'Man darf die Flamme des nächsten Lichts vor sich ausblasen. Öl verliert dadurch niemand.',
  hint: 'Alle hüten ein Licht; was nicht richtig war, kommt wieder.',
  after: 'nach',
  with: 'mit',
} satisfies Words<typeof en>
