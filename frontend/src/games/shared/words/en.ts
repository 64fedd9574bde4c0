export default {
  more_share: { one: '{n} more shares place {place}.', other: '{n} more share place {place}.' },
} as const
