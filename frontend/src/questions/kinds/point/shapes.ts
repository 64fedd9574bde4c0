/** Areas on a picture: drawing them, and what their shapes look like in SVG. All lengths are shares of the picture. */
import type { Area, Spot } from '@/api/types'

export type Place = Area['place']
export type ShapeName = Place['shape']

const clamp = (value: number): number => Math.round(Math.min(1, Math.max(0, value)) * 1000) / 1000

/** Where a pointer stands on an element, as shares of its box. */
export function spotOf(event: { clientX: number; clientY: number }, box: DOMRect): Spot {
  return {
    x: clamp((event.clientX - box.left) / box.width),
    y: clamp((event.clientY - box.top) / box.height),
  }
}

/** The rectangle or ellipse between two corners. */
export function between(shape: 'rectangle' | 'ellipse', a: Spot, b: Spot): Place {
  const x = Math.min(a.x, b.x)
  const y = Math.min(a.y, b.y)
  const width = clamp(Math.abs(a.x - b.x))
  const height = clamp(Math.abs(a.y - b.y))
  if (shape === 'rectangle') return { shape, x, y, width, height }
  return {
    shape,
    x: clamp(x + width / 2),
    y: clamp(y + height / 2),
    radius_x: clamp(width / 2),
    radius_y: clamp(height / 2),
  }
}

/** A spot of the middle size, for those who place it by its numbers. */
export function usual(shape: ShapeName): Place {
  if (shape === 'polygon')
    return {
      shape,
      corners: [
        { x: 0.5, y: 0.4 },
        { x: 0.6, y: 0.6 },
        { x: 0.4, y: 0.6 },
      ],
    }
  return between(shape, { x: 0.4, y: 0.4 }, { x: 0.6, y: 0.6 })
}

/** Corners as SVG points in a box of 100 by 100. */
export const cornersOf = (corners: readonly Spot[]): string =>
  corners.map((corner) => `${corner.x * 100},${corner.y * 100}`).join(' ')
