export default {
  a_little_more_for_early_answers: 'A little more for early answers',
  at_most_20_points_on_top: 'At most 20 points on top of 100.',
  a_little_more_for_right_ones: 'A little more for right ones in a row',
  ten_points_for_each_right_answer: '10 points for each right answer before it, 30 at most.',
  hint: 'Points for right answers, and places that move.',
} as const
