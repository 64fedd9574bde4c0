export default {
  sort: 'put each into a group',
  choose: 'Put each into a group',
  put: '{line} in {group}',
  caption: 'How many put each line into each group',
} as const
