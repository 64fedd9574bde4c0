import { createApp } from 'vue'
import { watchFormulas } from '@/questions/shared/formulas'
import '@/styles/student.css'
import { StudentApp } from '@/live/student'

createApp(StudentApp).mount('#app')
watchFormulas()
