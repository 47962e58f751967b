<script setup lang="ts">
import type { PickedSeason } from '@/api/almanac'
import { tint } from './tints'

/** The twelve months of one fruit: when it is picked, and how many jars were put up in each. */
const props = defineProps<{ season: PickedSeason; month: number }>()
const within = (m: number) => {
  const { from, to } = props.season
  return from === 0 || (m - from + 12) % 12 <= (to - from + 12) % 12
}
const cell = 34
</script>

<template>
  <svg
    class="year"
    :viewBox="`0 0 ${12 * cell} 26`"
    role="img"
    :aria-label="`${season.name}: ${season.text}`"
  >
    <g v-for="m in 12" :key="m">
      <rect
        :x="(m - 1) * cell + 1"
        y="2"
        :width="cell - 2"
        height="22"
        rx="4"
        class="bed"
        :class="{ here: m === month }"
      />
      <rect
        v-if="within(m)"
        :x="(m - 1) * cell + 4"
        y="6"
        :width="cell - 8"
        height="14"
        rx="3"
        :style="{ fill: tint(season.fruit) }"
        class="ripe"
        :class="{ always: season.from === 0 }"
      />
      <text v-if="season.put[m - 1]" :x="(m - 0.5) * cell" y="19" text-anchor="middle" class="put">
        {{ season.put[m - 1] }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
.year {
  display: block;
  width: 100%;
  height: auto;
}
.bed {
  fill: var(--color-wash);
}
.bed.here {
  stroke: var(--color-rim);
  stroke-width: 2.5;
}
.ripe.always {
  opacity: 0.45;
}
.put {
  font: 700 15px var(--font-text);
  fill: var(--color-ink);
  paint-order: stroke;
  stroke: var(--color-plate);
  stroke-width: 4px;
}
</style>
