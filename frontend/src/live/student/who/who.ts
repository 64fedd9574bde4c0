/** What a student says of who they are. A device says what it was asked for, and nothing else. */
import type { CodeInfo, JoinForm } from '@/api/types'

export type Who = Pick<JoinForm, 'name' | 'member' | 'phrase' | 'record_id' | 'made'>
export type Asks = NonNullable<CodeInfo['asks']>

/** Props of what asks. */
export interface Asking {
  info: CodeInfo
  /** What was refused, by field. */
  errors: Record<string, string>
}

export const input = 'w-full rounded border border-edge bg-sheet px-3 py-3 text-lg'
