export default {
  option: 'Option',
  points_to_share_out: 'Points to share out',
  label: 'Point split',
  hint: 'a sum is shared out over options',
} as const
