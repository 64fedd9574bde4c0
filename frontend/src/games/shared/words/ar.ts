import type { Words } from '@/words'
import type en from './en'

export default {
  more_share: {
    zero: 'لا أحد غيرهم في المركز {place}.',
    one: 'وواحد آخر في المركز {place}.',
    two: 'واثنان آخران في المركز {place}.',
    few: 'و{n} آخرون في المركز {place}.',
    many: 'و{n} آخرون في المركز {place}.',
    other: 'و{n} آخرون في المركز {place}.',
  },
} satisfies Words<typeof en>
