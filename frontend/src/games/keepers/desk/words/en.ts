export default {
  about_questions_for_each: 'about {count} questions for each',
  it_ends_whichever_comes_first: 'It ends, whichever comes first,',
  for_all_after: 'for all after',
  minutes: 'minutes',
  for_each_one_after: 'for each one after',
  questions: 'questions',
  for_each_one_with: 'for each one with',
  oil_earned: 'oil earned',
  gusts: 'Gusts',
  players_may_put_out_the_flame:
    'Players may put out the flame of the nearest light ahead. Nobody loses oil by it.',
  hint: 'Everybody keeps a light; what was missed comes back.',
  after: 'after',
  with: 'with',
} as const
