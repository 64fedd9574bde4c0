export default {
  your_light: 'Your light',
  change: 'Change your light',
  loading: 'One moment…',
  which_part: 'Which part',
  draw_one: 'Draw one by chance',
  how_earned:
    'You earn shells by answering, right or wrong, by getting better, and by helping a team. None is ever lost.',
  for_now: 'This light is for this session only.',
  take: 'Take this light',
  leave_it: 'Leave it as it was',
  next_time: 'You will have it from the next session on.',
  shells: { one: '{n} shell', other: '{n} shells' },
  you_have: { one: 'You have {n} shell.', other: 'You have {n} shells.' },
  earned: { one: 'This session gave you {n} shell.', other: 'This session gave you {n} shells.' },
  take_for: { one: 'Take it for {n} shell', other: 'Take it for {n} shells' },
  more_wanted: {
    one: 'This takes {n} more shell than you have.',
    other: 'This takes {n} more shells than you have.',
  },
} as const
