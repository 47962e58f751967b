<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '@/api/client'

/** One tier of a load from above, to scale, with the jars as they will stand. */
const props = defineProps<{
  canner: Schemas['CannerBody']
  placed: Schemas['PlacedBody'][]
  label: string
  tint: string
}>()

const halfX = computed(() => (props.canner.diameterCm || props.canner.lengthCm) / 2)
const halfY = computed(() => (props.canner.diameterCm || props.canner.widthCm) / 2)
</script>

<template>
  <svg
    class="pot"
    :viewBox="`${-halfX - 3} ${-halfY - 1.2} ${2 * halfX + 6} ${2 * halfY + 2.4}`"
    role="img"
    :aria-label="`${label} in the ${canner.name}, from above`"
  >
    <g fill="var(--color-plate)" stroke="var(--color-rim)" stroke-width="0.6">
      <rect :x="-halfX - 2.4" y="-3" width="4" height="6" rx="1.6" />
      <rect :x="halfX - 1.6" y="-3" width="4" height="6" rx="1.6" />
      <circle v-if="canner.diameterCm" :r="halfX + 0.6" />
      <rect
        v-else
        :x="-halfX - 0.6"
        :y="-halfY - 0.6"
        :width="2 * halfX + 1.2"
        :height="2 * halfY + 1.2"
        rx="2"
      />
    </g>
    <circle v-if="canner.diameterCm" :r="halfX - 0.2" fill="var(--color-glass)" />
    <rect
      v-else
      :x="-halfX + 0.2"
      :y="-halfY + 0.2"
      :width="2 * halfX - 0.4"
      :height="2 * halfY - 0.4"
      rx="1.4"
      fill="var(--color-glass)"
    />
    <g v-for="(p, i) in placed" :key="i" :transform="`translate(${p.xCm} ${p.yCm})`">
      <title>{{ p.one }} {{ i + 1 }} of {{ placed.length }}</title>
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
</style>
