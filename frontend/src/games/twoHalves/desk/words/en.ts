export default {
  hint: 'Pairs lie apart; everybody joins what belongs together.',
} as const
