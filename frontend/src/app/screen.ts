import { createApp } from 'vue'
import { ScreenApp, screenLanguage } from '@/live/screen'
import { watchFormulas } from '@/questions/shared/formulas'
import { follow } from '@/words'
import '@/styles/teacher.css'

const LONGEST_WAIT = 3000

const session = Number(location.pathname.split('/')[2])
void Promise.race([follow(screenLanguage), new Promise((resolve) => setTimeout(resolve, LONGEST_WAIT))]).then(
  () => {
    createApp(ScreenApp, { session }).mount('#app')
    watchFormulas()
  },
)
