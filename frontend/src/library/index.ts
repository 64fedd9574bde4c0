export { default as EditorPage } from './EditorPage.vue'
export { default as BinPage } from './BinPage.vue'
export { default as PickPage } from './PickPage.vue'
/** With its editor it weighs as much as all other pages: fetched when it is wanted. */
export const SetTextPage = () => import('./text/SetTextPage.vue')
export { default as TryFrame } from './TryFrame.vue'
export { default as TryPage } from './TryPage.vue'
export { default as SetsPage } from './SetsPage.vue'
