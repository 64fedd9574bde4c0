<script setup lang="ts">
/** The link of a message that asks whether an address is one's own. */
import { ref } from 'vue'
import PhoneFrame from './PhoneFrame.vue'
import { mainButton } from './recipes'
import { confirmAddress } from './request'
import { toldOf } from './told'
import { t } from './words'

const props = defineProps<{ token: string }>()
const done = ref(false)
const busy = ref(false)
const error = ref('')

async function confirm(): Promise<void> {
  busy.value = true
  error.value = ''
  try {
    await confirmAddress(props.token)
    done.value = true
  } catch (failure) {
    error.value = toldOf(failure)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <PhoneFrame left="Tall Lantern">
    <h1 class="mt-6 text-3xl">{{ t(done ? 'thank_you' : 'your_address') }}</h1>
    <p class="mt-3 text-lg" role="status">
      {{ t(done ? 'address_confirmed' : 'address_given') }}
    </p>
    <p v-if="error" role="alert" class="mt-3 text-wrong">{{ error }}</p>
    <template v-if="!done" #foot>
      <button type="button" :class="mainButton" :disabled="busy" @click="confirm">
        {{ t('it_is_mine') }}
      </button>
    </template>
  </PhoneFrame>
</template>
