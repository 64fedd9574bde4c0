import { useEventListener, useLocalStorage } from '@vueuse/core'

const TYPING = 'input, textarea, select, [contenteditable="true"], [role="dialog"] *, [role="menu"] *'

/** Whether single keys act at all: a teacher may turn them off. */
export const singleKeysOn = useLocalStorage('lantern.single-keys', true)

/** Runs an action for a single key, never while somebody is typing or a dialog is open. */
export function useKeys(actions: Record<string, () => void>): void {
  useEventListener(document, 'keydown', (event: KeyboardEvent) => {
    const target = event.target as Element | null
    if (!singleKeysOn.value || event.ctrlKey || event.metaKey || event.altKey || event.repeat) return
    if (target?.closest(TYPING)) return
    // A button or link keeps its own Space and Enter.
    if ([' ', 'Enter'].includes(event.key) && target?.closest('button, a, summary')) return
    const action = actions[event.key.length === 1 ? event.key.toLowerCase() : event.key]
    if (!action) return
    event.preventDefault()
    action()
  })
}
