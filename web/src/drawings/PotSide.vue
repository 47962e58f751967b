<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '@/api/client'

/** A canner from the side, to scale: rack, jars, and the water line with the room left for the boil. */
const props = defineProps<{
  canner: Schemas['CannerBody']
  water: Schemas['WaterLevels']
  jar: Schemas['JarBody']
  tint: string
}>()

const w = computed(() => props.canner.diameterCm || props.canner.lengthCm)
const h = computed(() => props.canner.depthCm)
const level = computed(() => h.value - props.water.afterCm)
const jarTop = computed(() => h.value - props.canner.rackCm - props.jar.heightCm)

/** As many jars as stand side by side, for the look of it. */
const jars = computed(() => {
  const n = Math.max(1, Math.floor(w.value / (props.jar.diameterCm + 0.6)))
  const step = w.value / n
  return Array.from({ length: n }, (_, i) => step * (i + 0.5) - props.jar.diameterCm / 2)
})
</script>

<template>
  <svg
    class="side"
    :viewBox="`-1 -2 ${w * 1.4} ${h + 3.4}`"
    role="img"
    :aria-label="`The ${canner.name} from the side: water to ${water.after}, jars under it`"
  >
    <rect x="0" :y="level" :width="w" :height="h - level" fill="var(--color-glass)" />
    <line
      x1="0.6"
      :x2="w - 0.6"
      :y1="h - canner.rackCm"
      :y2="h - canner.rackCm"
      stroke="var(--color-quiet)"
      stroke-width="0.5"
      stroke-dasharray="1.2 0.8"
    />
    <g v-for="x in jars" :key="x">
      <rect
        :x="x"
        :y="jarTop + 1.2"
        :width="jar.diameterCm"
        :height="jar.heightCm - 1.2"
        rx="1.2"
        :fill="tint"
        stroke="var(--color-rim)"
        stroke-width="0.35"
      />
      <rect
        :x="x + jar.diameterCm * 0.16"
        :y="jarTop"
        :width="jar.diameterCm * 0.68"
        height="1.3"
        rx="0.3"
        fill="var(--color-plate)"
        stroke="var(--color-rim)"
        stroke-width="0.35"
      />
    </g>
    <line x1="0" :x2="w + 1" :y1="level" :y2="level" stroke="var(--color-rim)" stroke-width="0.4" />
    <path :d="`M0 -1 V${h} H${w} V-1`" fill="none" stroke="var(--color-rim)" stroke-width="0.9" />
    <text :x="w * 1.03" :y="level + w * 0.02" :font-size="w * 0.075">{{ water.after }}</text>
  </svg>
</template>

<style scoped>
.side {
  display: block;
  width: 100%;
}
text {
  font-weight: 700;
  fill: var(--color-ink);
}
</style>
