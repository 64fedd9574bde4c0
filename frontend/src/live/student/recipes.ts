export const mainButton =
  'block min-h-13 w-full rounded bg-tide px-4 py-3 text-lg font-bold text-sheet disabled:bg-mist disabled:text-slate'
