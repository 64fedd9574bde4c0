/** Whether the desk shows names and answers: a teacher's screen is often mirrored. Kept on the device. */
import { useLocalStorage } from '@vueuse/core'

export const namesShown = useLocalStorage('lantern.desk-names', true)
export const answersShown = useLocalStorage('lantern.desk-answers', true)

/** Both at once: hidden where one of them is shown. */
export function hideOrShow(): void {
  const shows = !(namesShown.value || answersShown.value)
  namesShown.value = answersShown.value = shows
}
