/** Who is signed in on this page, and what it speaks. */
import { clear } from 'idb-keyval'
import { shallowRef } from 'vue'
import { api, data } from '@/api/http'
import type { Me, SignUpRule } from '@/api/types'
import { clearOwnShelves, shelfOf } from '@/ui/shelf'
import { deviceLanguage, speak } from '@/words'
import { OF_TEACHERS, type TeacherLanguage } from '@/words/teacher'

export const teacher = shallowRef<Me | null>(null)

/** What this account has chosen; before anybody has signed in, and where nothing was chosen, that of the device. */
export const ownLanguage = (): TeacherLanguage => teacher.value?.language || deviceLanguage(OF_TEACHERS)

const owner = shelfOf<string>('lantern.owner')

/** What another account kept on this device, to go on with later, is not for this one. */
async function ownDevice(email: string): Promise<void> {
  if (owner.read() === email) return
  await leaveNothing()
  owner.write(email)
}

async function leaveNothing(): Promise<void> {
  clearOwnShelves()
  await clear().catch(() => {}) // a device that keeps nothing has nothing to give away
}

/** The first device that an account signs in on says what it speaks from then on. */
async function know(found: Me): Promise<void> {
  await ownDevice(found.email)
  teacher.value = found
  if (!found.language) await chooseLanguage(ownLanguage()).catch(() => {})
  await speak(ownLanguage()).catch(() => {})
}

export async function chooseLanguage(language: TeacherLanguage): Promise<void> {
  teacher.value = await data(api.POST('/api/accounts/language', { body: { language } }))
}

/** The signed-in teacher, asked of the server once. */
export async function whoAmI(): Promise<Me | null> {
  if (!teacher.value) {
    const found = await data(api.GET('/api/accounts/me')).catch(() => null)
    if (found) await know(found)
  }
  return teacher.value
}

export async function signIn(email: string, password: string): Promise<void> {
  await know(await data(api.POST('/api/accounts/sign-in', { body: { email, password } })))
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
  await know(await data(api.POST('/api/accounts/sign-up', { body })))
}

/** A link with which one colleague can make an account, sent to an address where there is one. */
export const inviteColleague = async (email = ''): Promise<string> =>
  (await data(api.POST('/api/accounts/invitations', { body: { email } }))).link

/** What was kept on the device goes with whoever signs out: others may sit down at it. */
export async function signOut(): Promise<void> {
  await api.POST('/api/accounts/sign-out')
  teacher.value = null
  await leaveNothing()
}

export async function changePassword(old: string, next: string): Promise<void> {
  await api.POST('/api/accounts/password', { body: { old, new: next } })
}
