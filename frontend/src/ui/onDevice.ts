/** What is kept on this device (IndexedDB). A browser may close its connection, or fail to open one, at any moment: what
 * fails is tried once more, on a new one. */
import { del, get, set } from 'idb-keyval'

async function twice<T>(action: () => Promise<T>): Promise<T> {
  try {
    return await action()
  } catch {
    return action()
  }
}

export const keepOnDevice = (place: string, value: unknown): Promise<void> => twice(() => set(place, value))
export const keptOnDevice = <T>(place: string): Promise<T | undefined> => twice(() => get<T>(place))
export const forgetOnDevice = (place: string): Promise<void> => twice(() => del(place))
