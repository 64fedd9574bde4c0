/** What is told of a try to who cannot see it: of the last one, once it is known how it went. */
import { ref, watch, type Ref } from 'vue'

interface Parts {
  left: string
  right: string
}
interface Tried {
  found: readonly Parts[]
  wrong: Parts | null
}

/** `text` says what a part is called, `say` makes the sentence of two texts. It is there again, as another, when the same is tried once more. */
export function useTold(
  board: () => Tried | undefined,
  text: (id: string) => string,
  say: (fits: boolean, left: string, right: string) => string,
): Ref<string> {
  const said = ref('')
  watch(board, (now, before) => {
    if (!now || !before) return
    const pair = now.found.length > before.found.length ? now.found.at(-1) : now.wrong
    if (pair) said.value = say(now.found.length > before.found.length, text(pair.left), text(pair.right))
  })
  return said
}
