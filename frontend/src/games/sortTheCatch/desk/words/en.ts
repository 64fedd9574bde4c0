export default {
  hint: 'One after another goes into the group that it belongs in.',
} as const
