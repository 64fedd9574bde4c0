export default {
  left: 'Left {number}',
  left_2: 'left {number}',
  right: 'Right {number}',
  remove_pair: 'Remove pair {number}',
  pair: '+ Pair',
  on_the_right_with_no_partner: 'On the right, with no partner',
  extra_line: 'Extra line',
  label: 'Match',
  hint: 'pairs are found',
} as const
