/** Lights in words. */
import { listed } from '@/words'
import { partsOf, type Part } from './forms'
import { t } from './words'

const FORM_NAMES: Record<Part, (form: number) => string> = {
  roof: (form) => t(`roof_${form}` as 'roof_0'),
  top: (form) => t(`top_${form}` as 'top_0'),
  glass: (form) => t(`glass_${form}` as 'glass_0'),
  panes: (form) => t(`panes_${form}` as 'panes_0'),
  flame: (form) => t(`flame_${form}` as 'flame_0'),
  pattern: (form) => t(`pattern_${form}` as 'pattern_0'),
  foot: (form) => t(`foot_${form}` as 'foot_0'),
  sides: (form) => t(`sides_${form}` as 'sides_0'),
}

export const partName = (part: Part): string => t(`part_${part}`)
export const formName = (part: Part, form: number): string => FORM_NAMES[part](form)
/** All of its parts, one after the other. */
export const lightInWords = (light: string): string =>
  listed(partsOf(light).map(([part, form]) => formName(part, form)))
