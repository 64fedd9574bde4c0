/** Who is signed in on this page. */
import { shallowRef } from 'vue'
import { api, data } from '@/api/http'
import type { SignUpRule, Me } from '@/api/types'

export const teacher = shallowRef<Me | null>(null)

/** The signed-in teacher, asked of the server once. */
export async function whoAmI(): Promise<Me | null> {
  if (!teacher.value) teacher.value = await data(api.GET('/api/accounts/me')).catch(() => null)
  return teacher.value
}

export async function signIn(email: string, password: string): Promise<void> {
  teacher.value = await data(api.POST('/api/accounts/sign-in', { body: { email, password } }))
}

/** Who may make an account here. */
export const whoMaySignUp = async (): Promise<SignUpRule['sign_up']> =>
  (await data(api.GET('/api/accounts/entry'))).sign_up

export async function signUp(
  name: string,
  email: string,
  password: string,
  invitation: string,
): Promise<void> {
  const body = { name, email, password, invitation }
  teacher.value = await data(api.POST('/api/accounts/sign-up', { body }))
}

/** A link with which one colleague can make an account, sent to an address where there is one. */
export const inviteColleague = async (email = ''): Promise<string> =>
  (await data(api.POST('/api/accounts/invitations', { body: { email } }))).link

export async function signOut(): Promise<void> {
  await api.POST('/api/accounts/sign-out')
  teacher.value = null
}

export async function changePassword(old: string, next: string): Promise<void> {
  await api.POST('/api/accounts/password', { body: { old, new: next } })
}
