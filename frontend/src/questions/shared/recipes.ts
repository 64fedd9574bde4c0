/** Class lists that players and editors share. */
export const bigField =
  'w-full rounded border-2 border-ink bg-sheet px-3 py-3 text-xl disabled:border-rule disabled:text-slate'
export const stepButton =
  'inline-flex size-11 shrink-0 items-center justify-center rounded border border-edge bg-sheet text-lg font-bold disabled:opacity-40'
export const choiceCard =
  'has-focus-visible:outline-3 has-focus-visible:outline-offset-2 has-focus-visible:outline-tide rounded border'
export const chosenCard = 'border-tide bg-tide-wash ring-2 ring-tide'
export const note = 'rounded border border-line bg-strip px-[0.6em] py-[0.5em]'
