export default {
  name: 'Shutters',
  open_two: 'Behind every shutter lies one half of a pair. Open two.',
  stay: 'If they belong together they stay open. If not, remember what you saw.',
  counts: 'A miss counts only where you had seen the right one before.',
  wins: 'First is who found the most without such a miss.',
  house: 'Shutters of the house',
  shut: 'Shutter {number}, shut',
  is_open: 'Shutter {number}: {text}',
  is_found: 'Shutter {number}: {text}, found',
} as const
