import { VueQueryPlugin } from '@tanstack/vue-query'
import { createApp } from 'vue'
import { ownLanguage, whoAmI } from '@/accounts'
import { watchFormulas } from '@/questions/shared/formulas'
import { follow } from '@/words'
import { i18n } from '@/words/teacher'
import '@/styles/teacher.css'
import AppShell from './AppShell.vue'
import { router } from './router'

/** In milliseconds: on a slow network English is better than nothing. */
const LONGEST_WAIT = 3000

async function begin(): Promise<void> {
  await whoAmI()
  await follow(ownLanguage)
}

void Promise.race([begin(), new Promise((resolve) => setTimeout(resolve, LONGEST_WAIT))]).then(() => {
  createApp(AppShell)
    .use(router)
    .use(i18n)
    .use(VueQueryPlugin, { queryClientConfig: { defaultOptions: { queries: { retry: false } } } })
    .mount('#app')
  watchFormulas()
})
