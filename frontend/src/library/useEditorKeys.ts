/** The editor's keys: Ctrl+Enter, Ctrl+D, Alt+↑↓, undo and redo. They act while one is typing. */
import { useEventListener } from '@vueuse/core'
import type { Ref } from 'vue'
import type { SetEditor } from './useSetEditor'

interface Actions {
  editor: SetEditor
  active: Ref<string>
  add: () => void
  duplicate: (id: string) => void
  asText: () => void
  move: (id: string, offset: number) => void
}

export function useEditorKeys({ editor, active, add, duplicate, asText, move }: Actions): void {
  const onItem = (act: (id: string) => void) => () => active.value && act(active.value)
  const withControl: Record<string, () => void> = {
    enter: add,
    d: onItem(duplicate),
    e: asText,
    z: editor.undo,
    y: editor.redo,
    'shift+z': editor.redo,
  }
  const withAlt: Record<string, () => void> = {
    arrowup: onItem((id) => move(id, -1)),
    arrowdown: onItem((id) => move(id, 1)),
  }

  useEventListener(document, 'keydown', (event: KeyboardEvent) => {
    if ((event.target as Element).closest('[role="dialog"]')) return
    const key = event.key.toLowerCase()
    const control = event.ctrlKey || event.metaKey
    const action = control
      ? withControl[event.shiftKey ? `shift+${key}` : key]
      : event.altKey
        ? withAlt[key]
        : undefined
    if (!action) return
    event.preventDefault()
    action()
  })
}
