import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'verteile {total} Punkte',
  choose: 'Verteile alle {total} Punkte',
  invite: 'Verteile {total} Punkte.',
  left_to_share: 'von {total} Punkten sind noch zu verteilen',
  fewer: 'Weniger für {line}',
  more: 'Mehr für {line}',
  mean: '{line}: im Mittel {mean}',
  mean_points: 'Punkte im Mittel, von {total}.',
} satisfies Words<typeof en>
