export default {
  sort: 'share out {total} points',
  choose: 'Share out all {total} points',
  invite: 'Share out {total} points.',
  left_to_share: 'of {total} points left to share out',
  fewer: 'Fewer for {line}',
  more: 'More for {line}',
  mean: '{line}: mean {mean}',
  mean_points: 'Mean points of {total}.',
} as const
