export default {
  sort: 'fill the gaps',
  choose: 'Fill the gaps',
  gap: 'Gap {number}',
  gap_holds: 'gap {number}: {words}',
  nothing: 'nothing',
  words: 'Words',
} as const
