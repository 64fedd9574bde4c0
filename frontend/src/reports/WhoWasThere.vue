<script setup lang="ts">
/** Who of each class took part, and who was absent. */
import { computed } from 'vue'
import type { SessionReport } from '@/api/types'
import { namesShown } from './useReportView'
import { t } from './words'

const props = defineProps<{ attendance: SessionReport['report']['attendance'] }>()

const lines = computed(() =>
  props.attendance
    .filter((one) => one.of_class || props.attendance.length > 1)
    .map((one) => ({
      ...one,
      text: one.of_class
        ? t('of_from', {
            took_part: one.took_part,
            all: one.took_part + one.absent.length,
            of_class: one.of_class,
          })
        : t('from_no_class', { took_part: one.took_part }),
    })),
)
</script>

<template>
  <ul v-if="lines.length" class="text-[15px] text-slate">
    <li v-for="line in lines" :key="line.of_class">
      {{ line.text
      }}<template v-if="line.absent.length"
        >{{ t('absent', { count: line.absent.length })
        }}<template v-if="namesShown"
          >:
          <details v-if="line.absent.length > 6" class="inline">
            <summary class="inline text-tide underline">{{ t('their_names') }}</summary>
            {{ line.absent.join(', ') }}
          </details>
          <template v-else>{{ line.absent.join(', ') }}</template></template
        ></template
      >
    </li>
  </ul>
</template>
