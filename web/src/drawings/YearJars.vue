<script setup lang="ts">
import type { Almanac } from '@/api/almanac'
import { tint } from './tints'

/** One product through the years: a jar for each, filled as high as there were jars. */
defineProps<{ row: Almanac['beside'][number] }>()
const high = 74
</script>

<template>
  <svg
    class="years"
    :viewBox="`0 0 ${row.years.length * 62} ${high + 38}`"
    role="img"
    :aria-label="`${row.name}: ${row.years.map((y) => `${y.year}: ${y.jars} jars`).join(', ')}`"
  >
    <g v-for="(y, i) in row.years" :key="y.year" :transform="`translate(${i * 62} 0)`">
      <title>{{ y.year }}: {{ y.jars }} jars{{ y.text ? `; ${y.text}` : '' }}</title>
      <rect
        x="11"
        :y="12 + (high - 12) * (1 - y.part)"
        width="40"
        :height="(high - 12) * y.part"
        :style="{ fill: tint(row.product) }"
      />
      <path
        :d="`M 17 4 h 28 v 6 q 6 2 6 8 v ${high - 22} q 0 4 -4 4 h -32 q -4 0 -4 -4 v -${high - 22} q 0 -6 6 -8 z`"
        class="glass"
      />
      <text x="31" :y="high + 16" text-anchor="middle" class="jars">{{ y.jars || '–' }}</text>
      <text x="31" :y="high + 33" text-anchor="middle" class="year">{{ y.year }}</text>
    </g>
  </svg>
</template>

<style scoped>
.years {
  display: block;
  height: 112px;
  max-width: 100%;
}
.glass {
  fill: none;
  stroke: var(--color-rim);
  stroke-width: 2.5;
}
.jars {
  font: 700 16px var(--font-text);
  fill: var(--color-ink);
}
.year {
  font: 14px var(--font-text);
  fill: var(--color-quiet);
}
</style>
