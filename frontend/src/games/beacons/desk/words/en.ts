export default {
  whoever_is_furthest_when_you_end: 'whoever is furthest when you end it',
  whoever_is_first_at_the_end: 'whoever is first at the end of the chain',
  uneven_teams_are_fair_a_team: 'Uneven teams are fair: a team counts as the mean of its members.',
  the_winner_is: 'The winner is',
  beacons_in_a_chain: 'Beacons in a chain',
  seven_for_ten_questions: 'seven for ten questions',
  one_for_each_question: 'one for each question',
  hint: 'Teams light a chain of beacons along the coast.',
} as const
