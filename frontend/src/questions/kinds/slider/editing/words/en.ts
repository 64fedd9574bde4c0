export default {
  scale_from: 'Scale from',
  to: 'to',
  in_steps_of: 'in steps of',
  unit: 'Unit',
  none: 'none',
  right_from: 'Right from',
  label: 'Slider',
  hint: 'a number on a scale',
  words_at_the_low_end: 'Words at the low end',
  words_at_the_high_end: 'Words at the high end',
} as const
