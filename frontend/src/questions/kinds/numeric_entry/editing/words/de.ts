import type { Words } from '@/words'
import type en from './en'

export default {
  only_in_this_unit: 'Nur in dieser Einheit',
  other_units_are_turned_into_it: 'Andere Einheiten werden umgerechnet',
  exactly_this_number: 'Genau diese Zahl',
  a_little_more_or_less: 'Etwas mehr oder weniger',
  some_percent_more_or_less: 'Einige Prozent mehr oder weniger',
  a_range: 'Ein Bereich',
  accepted: 'Angenommen',
  units: 'Einheiten',
  turned_into: 'umgerechnet in {unit}',
  only_in: 'nur in {unit}',
  from: 'Von',
  to: 'bis',
  right: 'Richtig:',
  tolerance: 'Spielraum',
  unit: 'Einheit',
  none: 'keine',
  label: 'Zahl',
  hint: 'eine Zahl wird getippt',
} satisfies Words<typeof en>
