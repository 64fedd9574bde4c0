export default {
  group: 'Group',
  line: 'Line',
  line_belongs_to: 'Line {number} belongs to',
  which_group: 'which group?',
  group_2: 'Group {letter}',
  label: 'Classify',
  hint: 'lines are put into groups',
} as const
