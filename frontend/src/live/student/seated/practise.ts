/** How the page of a seat begins a round of what was missed: whoever shows a result may offer it. */
import { inject, provide, type InjectionKey } from 'vue'

type Practise = () => void
const PRACTISE: InjectionKey<Practise> = Symbol('practise')

export const providePractise = (practise: Practise): void => provide(PRACTISE, practise)
/** Nothing where it is only looked at, as when a set is tried out. */
export const usePractise = (): Practise | null => inject(PRACTISE, null)
