import { createApp } from 'vue'
import { watchFormulas } from '@/questions/shared/formulas'
import '@/styles/teacher.css'
import { ScreenApp } from '@/live/screen'

const session = Number(location.pathname.split('/')[2])
createApp(ScreenApp, { session }).mount('#app')
watchFormulas()
