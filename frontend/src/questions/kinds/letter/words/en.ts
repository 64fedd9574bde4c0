export default {
  sort: 'choose a letter',
  choose: 'Choose a letter',
} as const
