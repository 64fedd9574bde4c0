/** Undo and redo over whole values: items are shared between steps, so a step costs little. */
import { computed, getCurrentScope, onScopeDispose, shallowRef } from 'vue'

const MOST = 200
const ONE_TYPING = 1200
const STORE_AFTER = 300

/** How many steps outlive a reload of the page. */
const MOST_STORED = 40

/** With a `shelf` the steps are kept in this tab until it is closed: undo goes on after a reload. */
export function useHistory<T>(shelf?: string) {
  const stored = readSteps<T>(shelf)
  const past = shallowRef<T[]>(stored.past)
  const future = shallowRef<T[]>(stored.future)
  let writing: ReturnType<typeof setTimeout> | undefined
  let lastTag = ''
  let lastAt = 0

  /** Keep `before` as a step. Changes with the same tag in quick succession are one step. */
  function keep(before: T, tag: string): void {
    const now = Date.now()
    const sameTyping = tag !== '' && tag === lastTag && now - lastAt < ONE_TYPING
    lastTag = tag
    lastAt = now
    future.value = []
    if (!sameTyping) past.value = [...past.value.slice(-MOST + 1), before]
    store()
  }

  function store(): void {
    if (!shelf) return
    clearTimeout(writing)
    writing = setTimeout(() => storeNow(shelf), STORE_AFTER)
  }

  function storeNow(place: string): void {
    clearTimeout(writing)
    writing = undefined
    const steps = { past: past.value.slice(-MOST_STORED), future: future.value.slice(-MOST_STORED) }
    try {
      sessionStorage.setItem(place, JSON.stringify(steps))
    } catch {
      sessionStorage.removeItem(place) // no room: undo then ends at the reload
    }
  }
  // The next page goes on with the steps at once.
  if (shelf && getCurrentScope()) onScopeDispose(() => writing !== undefined && storeNow(shelf))

  function step(from: typeof past, to: typeof past, present: T): T | undefined {
    const target = from.value.at(-1)
    if (target === undefined) return undefined
    from.value = from.value.slice(0, -1)
    to.value = [...to.value, present]
    lastTag = ''
    store()
    return target
  }

  return {
    keep,
    undo: (present: T) => step(past, future, present),
    redo: (present: T) => step(future, past, present),
    canUndo: computed(() => past.value.length > 0),
    canRedo: computed(() => future.value.length > 0),
  }
}

function readSteps<T>(shelf?: string): { past: T[]; future: T[] } {
  try {
    const steps = JSON.parse((shelf && sessionStorage.getItem(shelf)) || 'null')
    return steps ?? { past: [], future: [] }
  } catch {
    return { past: [], future: [] }
  }
}

const withoutTexts = (value: unknown): string =>
  JSON.stringify(value, (_key, part) => (typeof part === 'string' ? '' : part))

/** The tag of a change within one field's text; '' for any other change, which is a step of its own. */
export function typingTag<I extends { id: string }>(before: I, after: I): string {
  if (withoutTexts(before) !== withoutTexts(after)) return ''
  const changed = (Object.keys(after) as (keyof I)[]).filter((key) => after[key] !== before[key])
  return `${after.id}.${changed.join()}`
}
