<script setup lang="ts">
/** Areas drawn on the picture, each with its name, its place in numbers, and whether it is right. */
import { ref } from 'vue'
import { newId } from '@/api/ids'
import type { Area, ItemOf, Spot } from '@/api/types'
import NumberField from '@/ui/number/NumberField.vue'
import { smallField } from '@/ui/recipes'
import Board from '../Board.vue'
import { between, usual, type Place, type ShapeName } from '../shapes'
import { fields, shapes } from './drawn'
import { t } from './words'
import { t as common } from '@/ui/words'

type Point = ItemOf<'point'>
const props = defineProps<{ item: Point }>()
const emit = defineEmits<{ update: [item: Point] }>()

const shape = ref<ShapeName>('rectangle')
const from = ref<Spot | null>(null)
const drawn = ref<Place | null>(null)
const corners = ref<Spot[]>([])

const areas = (): Area[] => props.item.areas ?? []
const set = (next: Area[]): void => emit('update', { ...props.item, areas: next })
const add = (place: Place): void => set([...areas(), { id: newId(8), name: '', place, right: true }])
const change = (index: number, part: Partial<Area>): void =>
  set(areas().map((area, at) => (at === index ? { ...area, ...part } : area)))

function setNumber(index: number, name: string, value: number | null): void {
  const share = Math.min(1, Math.max(0, (value ?? 0) / 100))
  change(index, { place: { ...areas()[index]!.place, [name]: share } as Place })
}

function down(spot: Spot): void {
  if (shape.value === 'polygon') corners.value = [...corners.value, spot]
  else from.value = spot
}

function drag(spot: Spot): void {
  if (from.value && shape.value !== 'polygon') drawn.value = between(shape.value, from.value, spot)
}

/** A press without a drag draws nothing. */
function up(): void {
  const box = drawn.value
  from.value = drawn.value = null
  const width = box && 'width' in box ? box.width : box && 'radius_x' in box ? box.radius_x : 0
  if (box && width > 0.005) add(box)
}

function closePolygon(): void {
  add({ shape: 'polygon', corners: corners.value })
  corners.value = []
}

function shown(): Area[] {
  const extra: Area[] = drawn.value ? [{ id: 'drawn', place: drawn.value }] : []
  if (corners.value.length > 2)
    extra.push({ id: 'corners', place: { shape: 'polygon', corners: corners.value } })
  return [...areas(), ...extra]
}
</script>

<template>
  <div class="pt-1 ps-1.5" data-line>
    <p v-if="!item.picture" class="text-slate">{{ t('add_the_picture_first_then_draw') }}</p>
    <template v-else>
      <div class="mb-2 flex flex-wrap items-center gap-2 text-[15px]">
        <label
          >{{ t('draw') }}
          <select v-model="shape" :class="smallField">
            <option v-for="one in shapes()" :key="one.value" :value="one.value">{{ one.label }}</option>
          </select></label
        >
        <button
          v-if="shape === 'polygon' && corners.length > 2"
          type="button"
          class="font-bold text-tide"
          @click="closePolygon"
        >
          {{ t('close_the_outline') }}
        </button>
        <button type="button" class="font-bold text-tide" @click="add(usual(shape))">
          {{ t('area_in_the_middle') }}
        </button>
      </div>
      <Board
        :picture="item.picture"
        :areas="shown()"
        :points="corners"
        class="ms-0! cursor-crosshair"
        @down="down"
        @drag="drag"
        @up="up"
      />
      <ol class="mt-2 space-y-2">
        <li
          v-for="(area, index) in item.areas"
          :key="area.id"
          class="flex flex-wrap items-center gap-2 text-[15px]"
        >
          <b class="w-5 text-slate">{{ index + 1 }}</b>
          <input
            type="text"
            maxlength="100"
            class="w-40"
            :class="smallField"
            :aria-label="t('name_of_area', { number: index + 1 })"
            :placeholder="common('name')"
            :value="area.name"
            @input="change(index, { name: ($event.target as HTMLInputElement).value })"
          />
          <label v-if="item.scored" class="flex items-center gap-1"
            ><input
              type="checkbox"
              class="size-4 accent-leaf"
              :checked="area.right ?? true"
              @change="change(index, { right: !(area.right ?? true) })"
            />
            {{ t('right') }}</label
          >
          <label v-for="number in fields()[area.place.shape]" :key="number.name" class="text-slate"
            >{{ number.label }}
            <NumberField
              class="w-16!"
              :model-value="
                Math.round((area.place as unknown as Record<string, number>)[number.name]! * 1000) / 10
              "
              @update:model-value="setNumber(index, number.name, $event)"
            />
            %</label
          >
          <button
            type="button"
            class="font-bold text-tide"
            @click="set(areas().filter((one) => one !== area))"
          >
            {{ t('remove_area', { number: index + 1 }) }}
          </button>
        </li>
      </ol>
    </template>
  </div>
</template>
