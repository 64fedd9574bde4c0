/** Names that were pasted where one was to be typed, on their way to the page that looks a list through. */
import { ref } from 'vue'

export const typedNames = ref('')
