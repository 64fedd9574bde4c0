import { VueQueryPlugin } from '@tanstack/vue-query'
import { createApp } from 'vue'
import { watchFormulas } from '@/questions/shared/formulas'
import '@/styles/teacher.css'
import AppShell from './AppShell.vue'
import { router } from './router'

createApp(AppShell)
  .use(router)
  .use(VueQueryPlugin, { queryClientConfig: { defaultOptions: { queries: { retry: false } } } })
  .mount('#app')
watchFormulas()
