import { createApp } from 'vue'
import { watchFormulas } from '@/questions/shared/formulas'
import '@/styles/student.css'
import { followLanguage, followLook, StudentApp } from '@/live/student'

/** In milliseconds: on a slow network English is better than nothing. */
const LONGEST_WAIT = 1500

followLook()
void Promise.race([followLanguage(), new Promise((resolve) => setTimeout(resolve, LONGEST_WAIT))]).then(
  () => {
    createApp(StudentApp).mount('#app')
    watchFormulas()
  },
)
