export default {
  sort: 'type a number',
  choose: 'Type a number',
  your_number: 'Your number',
  read_as: 'Read as {number}',
  type_one: 'Type a number.',
  type_one_in: 'Type a number in {unit}.',
  range_counts: '{value} ({range} counts)',
} as const
