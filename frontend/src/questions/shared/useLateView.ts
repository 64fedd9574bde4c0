/** A view that is loaded when it is first needed. */
import { computed, defineAsyncComponent, type Component, type ComputedRef } from 'vue'

type Loader = () => Promise<Component>

/** `wanted` names a view and says how to load it, or null. A phone may lose the network while it is on its way: it is
 * fetched again, not given up, and `failed` told of it. */
export function useLateView(
  wanted: () => readonly [name: string, loader: Loader] | null,
  failed: () => void = () => {},
): ComputedRef<Component | null> {
  const cache = new Map<string, Component>()

  return computed(() => {
    const [name, loader] = wanted() ?? []
    if (!name || !loader) return null
    const found =
      cache.get(name) ??
      defineAsyncComponent({
        loader,
        onError: (_error, retry, _fail, attempts) => {
          failed()
          setTimeout(retry, Math.min(5000, 500 * attempts))
        },
      })
    cache.set(name, found)
    return found
  })
}
