<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '@/api/client'

/** A loaded canner from the side, to scale: rack, jars, and the water line with the room left for the boil. */
const props = defineProps<{
  canner: Schemas['CannerBody']
  water: Schemas['WaterLevels']
  tint: string
}>()

const w = computed(() => props.canner.diameterCm || props.canner.lengthCm)
const h = computed(() => props.canner.depthCm)
const level = computed(() => h.value - props.water.afterCm)
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
    <g v-for="(j, i) in canner.side" :key="i" :transform="`translate(${w / 2 + j.xCm} ${h - j.footCm})`">
      <line
        v-if="j.footCm > canner.rackCm"
        :x1="-j.diameterCm / 2"
        :x2="j.diameterCm / 2"
        y1="0.4"
        y2="0.4"
        stroke="var(--color-quiet)"
        stroke-width="0.5"
        stroke-dasharray="1.2 0.8"
      />
      <rect
        :x="-j.diameterCm / 2"
        :y="1.2 - j.heightCm"
        :width="j.diameterCm"
        :height="j.heightCm - 1.2"
        rx="1.2"
        :fill="tint"
        stroke="var(--color-rim)"
        stroke-width="0.35"
      />
      <rect
        :x="-j.diameterCm * 0.34"
        :y="-j.heightCm"
        :width="j.diameterCm * 0.68"
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
