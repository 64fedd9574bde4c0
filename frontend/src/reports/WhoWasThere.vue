<script setup lang="ts">
/** Who of each class took part, and who was absent. */
import { computed } from 'vue'
import type { SessionReport } from '@/api/types'
import { namesShown } from './useReportView'

const props = defineProps<{ attendance: SessionReport['report']['attendance'] }>()

const lines = computed(() =>
  props.attendance
    .filter((one) => one.of_class || props.attendance.length > 1)
    .map((one) => ({
      ...one,
      text: one.of_class
        ? `${one.took_part} of ${one.took_part + one.absent.length} from ${one.of_class}`
        : `${one.took_part} from no class`,
    })),
)
</script>

<template>
  <ul v-if="lines.length" class="text-[15px] text-slate">
    <li v-for="line in lines" :key="line.of_class">
      {{ line.text
      }}<template v-if="line.absent.length"
        >, {{ line.absent.length }} absent<template v-if="namesShown"
          >:
          <details v-if="line.absent.length > 6" class="inline">
            <summary class="inline text-tide underline">their names</summary>
            {{ line.absent.join(', ') }}
          </details>
          <template v-else>{{ line.absent.join(', ') }}</template></template
        ></template
      >
    </li>
  </ul>
</template>
