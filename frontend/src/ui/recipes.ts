/** Class lists that repeat, in one place each. */

const BUTTON =
  'inline-flex items-center justify-center gap-2 rounded font-bold leading-tight whitespace-nowrap transition-colors disabled:opacity-45'
const SIZE = {
  small: 'px-3 py-1.5 text-[15px]',
  normal: 'px-4 py-2 min-h-10',
  large: 'px-5 py-3 min-h-13 text-lg',
}
const LOOK = {
  main: 'bg-tide text-sheet hover:enabled:bg-tide-deep border border-tide',
  plain: 'bg-sheet text-ink border border-ink hover:enabled:bg-tide-wash',
  quiet: 'text-tide hover:enabled:underline underline-offset-4',
  danger: 'bg-wrong text-sheet border border-wrong',
  dark: 'bg-transparent text-foam border border-edge hover:enabled:border-foam',
}

export type ButtonLook = keyof typeof LOOK
export type ButtonSize = keyof typeof SIZE

export const button = (look: ButtonLook, size: ButtonSize = 'normal'): string =>
  `${BUTTON} ${SIZE[size]} ${LOOK[look]}`

export const progressBar =
  'appearance-none overflow-hidden rounded bg-rule [&::-moz-progress-bar]:bg-tide [&::-webkit-progress-bar]:bg-rule [&::-webkit-progress-value]:bg-tide'
export const field = 'w-full rounded border border-edge bg-sheet px-3 py-2 text-ink'
export const chip =
  'inline-flex min-h-7 items-center gap-1 rounded border border-rule bg-sheet px-2 py-0.5 text-sm text-slate hover:border-slate'
export const menuPanel =
  'absolute z-20 mt-1 min-w-44 rounded border border-slate bg-sheet py-1 text-[15px] shadow-sm focus:outline-none'
export const menuItem = 'flex w-full items-center gap-2 px-3 py-1.5 text-start'
export const smallField = 'rounded border border-edge bg-sheet px-2 py-1'
