import { createApp } from 'vue'
import { watchFormulas } from '@/questions/shared/formulas'
import '@/styles/teacher.css'
import { RemoteApp } from '@/live/remote'

createApp(RemoteApp).mount('#app')
watchFormulas()
