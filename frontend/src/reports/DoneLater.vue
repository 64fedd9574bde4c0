<script setup lang="ts">
/** Who was absent, and did it later as set work. */
import { I18nT } from 'vue-i18n'
import type { SessionReport } from '@/api/types'
import { percent } from '@/composables/format'
import { namesShown } from './useReportView'
import { t } from './words'

defineProps<{ later: SessionReport['later'] }>()
</script>

<template>
  <p v-if="later.length" class="text-[15px] text-slate">
    <I18nT :keypath="t.path('later_as')" scope="global"
      ><template #make_up
        ><RouterLink :to="`/work/${later[0]!.work}`" class="font-bold text-tide underline">{{
          t('a_make_up')
        }}</RouterLink></template
      ><template #n>{{ later.length }}</template></I18nT
    ><template v-if="namesShown"
      >:
      <template v-for="(one, index) in later" :key="`${one.session} ${one.seat}`"
        ><template v-if="index">, </template
        ><RouterLink :to="`/sessions/${one.session}/students/${one.seat}`" class="text-tide underline">{{
          one.name
        }}</RouterLink>
        {{ one.share === null ? '' : percent(one.share) }}</template
      ></template
    >
  </p>
</template>
