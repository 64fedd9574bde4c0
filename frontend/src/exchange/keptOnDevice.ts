/** What is being brought in, kept on this device until it is added or thrown away. The device keeps it for whoever is signed in
 * (accounts/teacher.ts). */
import { forgetOnDevice, keepOnDevice, keptOnDevice } from '@/ui/onDevice'

const PLACE = 'bring-in'

/** A device that keeps nothing is no reason to stop. */
async function quietly<T>(action: () => Promise<T>): Promise<T | undefined> {
  try {
    return await action()
  } catch {
    return undefined
  }
}

/** Whether it was kept. */
export const keep = async (value: unknown): Promise<boolean> =>
  (await quietly(() => keepOnDevice(PLACE, value).then(() => true))) ?? false
export const kept = <T>(): Promise<T | undefined> => quietly(() => keptOnDevice<T>(PLACE))
export const forget = (): Promise<void | undefined> => quietly(() => forgetOnDevice(PLACE))
