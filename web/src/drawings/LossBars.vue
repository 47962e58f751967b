<script setup lang="ts">
import { computed } from 'vue'
import type { AlmanacRow } from '@/api/almanac'

/** What was lost of the jars looked at: a bar for each kind, and a thin line for what the next jars likely do. */
const props = defineProps<{ losses: AlmanacRow['losses']; most: number }>()
const width = 300
const row = 24
const scale = computed(() => (width - 126) / Math.max(0.05, props.most))
const x = (part: number) => 120 + Math.min(part, props.most) * scale.value
</script>

<template>
  <svg
    class="losses"
    :viewBox="`0 0 ${width} ${losses.length * row}`"
    role="img"
    :aria-label="losses.map((l) => `${l.name}: ${l.count}`).join(', ')"
  >
    <g v-for="(l, i) in losses" :key="l.name">
      <text x="0" :y="i * row + 17">{{ l.name }}</text>
      <text x="112" :y="i * row + 17" text-anchor="end" class="count">{{ l.count }}</text>
      <rect
        x="120"
        :y="i * row + 5"
        :width="Math.max(0, x(l.part) - 120)"
        :height="row - 10"
        class="bar"
        :class="{ lost: i < 2 }"
      />
      <line :x1="x(l.low)" :x2="x(l.high)" :y1="i * row + row / 2" :y2="i * row + row / 2" class="likely" />
    </g>
  </svg>
</template>

<style scoped>
.losses {
  display: block;
  width: 100%;
  max-width: 320px;
}
text {
  font: 14px var(--font-text);
  fill: var(--color-ink);
}
.count {
  font-weight: 700;
}
.bar {
  fill: var(--color-wait-fill);
}
.bar.lost {
  fill: var(--color-stop);
}
.likely {
  stroke: var(--color-rim);
  stroke-width: 2;
}
</style>
