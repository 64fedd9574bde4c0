import { t } from './words'

type LockKey = Extract<Parameters<typeof t>[0], `lock_${number}`>

/** What a lock hangs on, by its number from 1. */
export const lockName = (number: number): string => t(`lock_${number}` as LockKey)
