import { ref } from 'vue'

export interface Toast {
  id: number
  text: string
  /** What the button on it does, as "Undo". */
  action?: { label: string; run: () => void }
}

const toasts = ref<Toast[]>([])
let nextId = 1
const LASTS = 8000

/** Short messages at the foot of the page. One with an action stays long enough to be reached. */
export function useToasts() {
  function dismiss(id: number): void {
    toasts.value = toasts.value.filter((toast) => toast.id !== id)
  }
  function show(text: string, action?: Toast['action']): void {
    const id = nextId++
    toasts.value = [...toasts.value, { id, text, action }]
    setTimeout(() => dismiss(id), action ? LASTS * 1.5 : LASTS)
  }
  return { toasts, show, dismiss }
}
