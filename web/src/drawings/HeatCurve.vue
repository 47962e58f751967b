<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '@/api/client'

/** The thermometer's last half hour as a line, with the local boiling point. */
const props = defineProps<{ thermometer: Schemas['ThermometerBody'] }>()
const low = computed(() =>
  Math.min(...props.thermometer.points.map((p) => p.celsius), props.thermometer.boilC - 8),
)
const high = computed(() => props.thermometer.boilC + 1.5)
const y = (c: number) => 58 - ((c - low.value) / (high.value - low.value)) * 54
const line = computed(() =>
  props.thermometer.points
    .map((p) => `${((30 - p.minutes) / 30) * 220},${y(p.celsius).toFixed(1)}`)
    .join(' '),
)
</script>

<template>
  <svg viewBox="0 0 290 62" class="curve" role="img" :aria-label="`The thermometer: ${thermometer.text}`">
    <line
      x1="0"
      x2="222"
      :y1="y(thermometer.boilC)"
      :y2="y(thermometer.boilC)"
      stroke="var(--color-wait-fill)"
      stroke-width="1.5"
      stroke-dasharray="4 3"
    />
    <polyline :points="line" fill="none" stroke="var(--color-rim)" stroke-width="2.5" />
    <text x="226" :y="y(thermometer.boilC) + 4" font-size="12">boils {{ thermometer.boil }}</text>
  </svg>
</template>

<style scoped>
.curve {
  display: block;
  width: 100%;
}
text {
  fill: var(--color-quiet);
}
</style>
