export default {
  sort: 'information',
} as const
