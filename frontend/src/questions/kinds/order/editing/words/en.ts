export default {
  each_pair_in_the_right_order: 'each pair in the right order counts',
  exactly_this_order: 'exactly this order',
  marking: 'Marking',
  in_the_right_order_students_see: 'In the right order; students see them shuffled.',
  students_rank_them: 'Students rank them.',
  line: 'Line',
  move_line_up: 'Move line {number} up',
  none: 'none',
  label: 'Order',
  hint: 'lines are put into their order, or ranked',
  words_for_the_first: 'Words for the first place',
  words_for_the_last: 'Words for the last place',
} as const
