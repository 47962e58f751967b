<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '@/api/client'

/** A load of several kinds of jars from above, to scale. */
const props = defineProps<{
  canner: Schemas['CannerBody']
  load: Schemas['MixedLoadBody']
  tint: string
  index: number
}>()

const halfX = computed(() => (props.canner.diameterCm || props.canner.lengthCm) / 2)
const halfY = computed(() => (props.canner.diameterCm || props.canner.widthCm) / 2)
</script>

<template>
  <svg
    class="pot"
    :viewBox="`${-halfX - 1.5} ${-halfY - 1.5} ${2 * halfX + 3} ${2 * halfY + 3}`"
    role="img"
    :aria-label="`Load ${index + 1}: ${load.text}, from above`"
  >
    <circle v-if="canner.diameterCm" :r="halfX + 0.3" class="wall" />
    <rect
      v-else
      :x="-halfX - 0.3"
      :y="-halfY - 0.3"
      :width="2 * halfX + 0.6"
      :height="2 * halfY + 0.6"
      rx="2"
      class="wall"
    />
    <g v-for="(p, i) in load.placed" :key="i" :transform="`translate(${p.xCm} ${p.yCm})`">
      <title>{{ p.one }}</title>
      <circle :r="p.diameterCm / 2" :fill="tint" stroke="var(--color-rim)" stroke-width="0.35" />
      <circle :r="p.diameterCm / 2 - 0.9" fill="var(--color-plate)" opacity="0.55" />
    </g>
  </svg>
</template>

<style scoped>
.pot {
  display: block;
  width: 100%;
}
.wall {
  fill: var(--color-glass);
  stroke: var(--color-rim);
  stroke-width: 0.8;
}
</style>
