<script setup lang="ts">
import { computed } from 'vue'
import type { Day } from '@/api/day'
import { isDark, tint } from './tints'

/** A day as lanes: hands, canners, burners, with the hours over them and a line where it is now. */
const props = defineProps<{ day: Day; picked?: string }>()
const emit = defineEmits<{ pick: [key: string] }>()

const names = 168
const width = 1240
const rowHeight = { hands: 40, canner: 36, burner: 22 } as const
const top = 30

const span = computed(() => Math.max(60, props.day.to - props.day.from))
const x = (minute: number) =>
  names +
  ((Math.min(Math.max(minute, props.day.from), props.day.to) - props.day.from) / span.value) *
    (width - names - 6)
const hours = computed(() => {
  const all = []
  for (let m = props.day.from; m <= props.day.to; m += 60) all.push(m)
  return all
})
const lanes = computed(() => {
  let y = top
  let kind = ''
  return props.day.lanes.map((lane) => {
    if (kind && kind !== lane.kind) y += 12
    kind = lane.kind
    const at = { lane, y, height: rowHeight[lane.kind] }
    y += at.height + 4
    return at
  })
})
const height = computed(() => {
  const last = lanes.value.at(-1)
  return last ? last.y + last.height + 6 : top
})
const fill = (batch: number) => {
  const of = props.day.batches[batch]
  return of ? tint(of.product, of.kind) : 'var(--color-glass)'
}
/** As much of a text as a bar has room for, its number always. */
const fits = (text: string, wide: number) => {
  const room = Math.floor((wide - 12) / 8.4)
  return room < 4 ? '' : text.length <= room ? text : `${text.slice(0, room - 1)}…`
}
</script>

<template>
  <svg
    class="lanes"
    :viewBox="`0 0 ${width} ${height}`"
    role="group"
    :aria-label="`The day from ${day.from / 60} to ${day.to / 60} o'clock, in lanes`"
    data-lanes
  >
    <g v-for="h in hours" :key="h">
      <line :x1="x(h)" :x2="x(h)" :y1="top - 6" :y2="height" class="hour" />
      <text :x="x(h)" y="18" class="clock" text-anchor="middle">{{ (h / 60) % 24 }}</text>
    </g>
    <g v-for="{ lane, y, height: high } in lanes" :key="lane.kind + lane.name" :data-lane="lane.kind">
      <text x="2" :y="y + high / 2 + 5" class="name" :class="{ small: lane.kind === 'burner' }">
        {{ fits(lane.name, names) }}
      </text>
      <rect :x="names" :y="y" :width="width - names - 6" :height="high" class="bed" rx="7" />
      <template v-for="(a, i) in lane.away" :key="i">
        <rect
          v-if="x(a.to) > x(a.from)"
          :x="x(a.from)"
          :y="y"
          :width="x(a.to) - x(a.from)"
          :height="high"
          class="away"
          rx="7"
        />
        <text
          v-if="a.what === 'break' && x(a.to) - x(a.from) > 44"
          :x="x(a.from) + 6"
          :y="y + high / 2 + 5"
          class="what"
        >
          break
        </text>
      </template>
      <g
        v-for="b in lane.bars"
        :key="b.key + b.from"
        class="bar"
        :class="[b.state, { picked: picked === b.key, thin: b.kind === 'heat' }]"
        @click="emit('pick', b.key)"
      >
        <title>{{ b.text }}</title>
        <rect
          :x="x(b.from) + 1"
          :y="y + 2"
          :width="Math.max(3, x(b.to) - x(b.from) - 2)"
          :height="high - 4"
          rx="6"
          :style="{ fill: b.kind === 'heat' ? 'var(--color-glass)' : fill(b.batch) }"
        />
        <text
          v-if="b.batch >= 0 && x(b.to) - x(b.from) > 22"
          :x="x(b.from) + 7"
          :y="y + high / 2 + 5"
          class="what"
          :class="{ light: b.kind !== 'heat' && isDark(fill(b.batch)) }"
        >
          {{ b.batch + 1 }}
          <tspan v-if="lane.kind !== 'burner' || x(b.to) - x(b.from) > 90">
            {{
              b.kind === 'heat'
                ? fits('heating', x(b.to) - x(b.from) - 14)
                : fits(b.text, x(b.to) - x(b.from) - 14)
            }}
          </tspan>
        </text>
      </g>
    </g>
    <g v-if="day.byMinute" data-by>
      <line :x1="x(day.byMinute)" :x2="x(day.byMinute)" :y1="top - 6" :y2="height" class="by" />
    </g>
    <g v-if="day.now >= day.from && day.now <= day.to" data-now>
      <line :x1="x(day.now)" :x2="x(day.now)" :y1="top - 8" :y2="height" class="now-line" />
      <path :d="`M ${x(day.now) - 8} ${top - 16} h 16 l -8 11 z`" class="now-head" />
    </g>
  </svg>
</template>

<style scoped src="./lanes.css"></style>
