export default {
  sort: 'move the slider',
  choose: 'Move the slider',
  less: 'One step less',
  more: 'One step more',
  your_number: 'Your number, from {low} to {high}',
  middle_half: 'The middle answer is {middle}; the middle half lies from {low} to {high}.',
} as const
