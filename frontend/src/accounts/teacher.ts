/** Who is signed in on this page. */
import { shallowRef } from 'vue'
import { api, data } from '@/api/http'
import type { Me } from '@/api/types'

export const teacher = shallowRef<Me | null>(null)

/** The signed-in teacher, asked of the server once. */
export async function whoAmI(): Promise<Me | null> {
  if (!teacher.value) teacher.value = await data(api.GET('/api/accounts/me')).catch(() => null)
  return teacher.value
}

export async function signIn(email: string, password: string): Promise<void> {
  teacher.value = await data(api.POST('/api/accounts/sign-in', { body: { email, password } }))
}

export async function signUp(name: string, email: string, password: string): Promise<void> {
  teacher.value = await data(api.POST('/api/accounts/sign-up', { body: { name, email, password } }))
}

export async function signOut(): Promise<void> {
  await api.POST('/api/accounts/sign-out')
  teacher.value = null
}

export async function changePassword(old: string, next: string): Promise<void> {
  await api.POST('/api/accounts/password', { body: { old, new: next } })
}
