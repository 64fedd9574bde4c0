/** The shapes that can be drawn, and the numbers that each can be placed by. */
import type { ShapeName } from '../shapes'
import { t } from './words'

export const shapes = (): { value: ShapeName; label: string }[] => [
  { value: 'rectangle', label: t('rectangle') },
  { value: 'ellipse', label: t('ellipse') },
  { value: 'polygon', label: t('corners') },
]

export const fields = (): Record<ShapeName, readonly { name: string; label: string }[]> => ({
  rectangle: [
    { name: 'x', label: t('left') },
    { name: 'y', label: t('top') },
    { name: 'width', label: t('width') },
    { name: 'height', label: t('height') },
  ],
  ellipse: [
    { name: 'x', label: t('centre_across') },
    { name: 'y', label: t('centre_down') },
    { name: 'radius_x', label: t('radius_across') },
    { name: 'radius_y', label: t('radius_down') },
  ],
  polygon: [],
})
