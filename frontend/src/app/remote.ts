import { createApp } from 'vue'
import { RemoteApp } from '@/live/remote'
import { watchFormulas } from '@/questions/shared/formulas'
import { deviceLanguage, follow } from '@/words'
import { OF_TEACHERS } from '@/words/teacher'
import '@/styles/teacher.css'

/** A phone that is a remote is signed in to nothing: it speaks its own language. */
void follow(() => deviceLanguage(OF_TEACHERS)).then(() => {
  createApp(RemoteApp).mount('#app')
  watchFormulas()
})
