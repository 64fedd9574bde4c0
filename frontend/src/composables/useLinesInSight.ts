/** The lines of a long table that are in sight: a class is there as a whole, of a crowd only what can be seen is drawn. */
import { useVirtualList } from '@vueuse/core'
import { computed, type ComputedRef } from 'vue'

/** px of a line. */
const LINE = 31
/** Lines drawn beyond what is in sight, so that a class is always there as a whole. */
const BEYOND = 40

/** The same in a crowd, where lines are wide: whoever scrolls meets them soon enough. */
const BEYOND_IN_A_CROWD = 20
/** More lines than these are a crowd. */
export const CROWD = 2 * BEYOND

/** `isCrowdFromTheStart`: it is known how many there are, and nobody comes any more. */
export function useLinesInSight<T>(all: ComputedRef<readonly T[]>, isCrowdFromTheStart = false) {
  const { list, containerProps, wrapperProps } = useVirtualList(
    computed(() => [...all.value]),
    { itemHeight: LINE, overscan: isCrowdFromTheStart ? BEYOND_IN_A_CROWD : BEYOND },
  )
  return {
    /** The lines to draw, with their place among all. */
    lines: list,
    /** For the frame that scrolls. */
    frame: containerProps,
    /** For what holds the table: at least as high as all lines together, and higher by the table's head. */
    holder: computed(() => {
      const { height, ...style } = wrapperProps.value.style
      return { ...style, minHeight: height }
    }),
    lineStyle: { height: `${LINE}px` },
    /** More than are drawn without scrolling: their table wants a frame of its own. */
    isCrowd: computed(() => all.value.length > CROWD),
  }
}
