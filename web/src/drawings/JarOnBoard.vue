<script setup lang="ts">
import { computed } from 'vue'
import type { JarGroup } from '@/api/shelf'
import { tint as tintOf } from './tints'

/** Like jars as they stand on a board, to scale: the oldest in front, those behind it seen over its shoulder. */
const props = defineProps<{ group: JarGroup }>()
const tint = computed(() => tintOf(props.group.product, props.group.kind))
const behind = computed(() => Math.min(props.group.count - 1, 3))
const step = 2.1
const w = computed(() => props.group.wideCm)
const h = computed(() => props.group.highCm)
const glass = computed(() => {
  const x = w.value
  const y = h.value
  return `M${x * 0.16} 1.5 V2.4 Q0.2 3.2 0.2 5 V${y - 1} Q0.2 ${y} 1.2 ${y} H${x - 1.2} Q${x - 0.2} ${y} ${x - 0.2} ${y - 1} V5 Q${x - 0.2} 3.2 ${x * 0.84} 2.4 V1.5 Z`
})
const drawnWide = computed(() => w.value + behind.value * step)
const drawnHigh = computed(() => h.value + behind.value * 0.7)
</script>

<template>
  <svg
    class="jars"
    :viewBox="`-0.4 -0.4 ${drawnWide + 0.8} ${drawnHigh + 0.5}`"
    :style="{ width: `${drawnWide * 0.42}rem`, height: `${drawnHigh * 0.42}rem` }"
    aria-hidden="true"
  >
    <g
      v-for="n in behind"
      :key="n"
      :transform="`translate(${(behind - n + 1) * step} ${(n - 1) * 0.7})`"
      class="back"
    >
      <path :d="glass" :fill="tint" />
      <rect :x="w * 0.13" y="0" :width="w * 0.74" height="1.6" rx="0.4" class="lid" />
    </g>
    <g :transform="`translate(0 ${behind * 0.7})`">
      <path :d="glass" class="glass" />
      <path :d="glass" :fill="tint" :style="{ clipPath: 'inset(14% 0 0 0)' }" />
      <path :d="glass" class="line" />
      <rect :x="w * 0.13" y="0" :width="w * 0.74" height="1.6" rx="0.4" class="lid" />
      <rect :x="w * 0.16" :y="h * 0.42" :width="w * 0.68" :height="h * 0.34" rx="0.5" class="label" />
      <text :x="w / 2" :y="h * 0.42 + h * 0.17 + 1.3" text-anchor="middle" font-size="3.8">
        {{ group.count }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
.jars {
  display: block;
  overflow: visible;
}
.back {
  opacity: 0.55;
}
.glass {
  fill: var(--color-glass);
}
.line,
.back path {
  stroke: var(--color-rim);
  stroke-width: 0.28;
}
.line {
  fill: none;
}
.lid {
  fill: var(--color-plate);
  stroke: var(--color-rim);
  stroke-width: 0.28;
}
.label {
  fill: var(--color-plate);
  stroke: var(--color-rim);
  stroke-width: 0.16;
}
text {
  font-weight: 700;
  fill: var(--color-ink);
}
</style>
