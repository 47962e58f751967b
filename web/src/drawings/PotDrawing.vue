<script setup lang="ts">
import type { Schemas } from '@/api/client'

/** A canner from above, to scale, with the jars as they will stand. */
defineProps<{
  canner: Schemas['CannerBody']
  load: Schemas['LoadBody']
  jar: Schemas['JarBody']
  tint: string
  index: number
}>()
</script>

<template>
  <svg
    class="pot"
    :viewBox="`${-canner.diameterCm / 2 - 3} ${-canner.diameterCm / 2 - 1.2} ${canner.diameterCm + 6} ${canner.diameterCm + 2.4}`"
    role="img"
    :aria-label="`Load ${index + 1}: ${load.text} in the ${canner.name}, from above`"
  >
    <g fill="var(--color-plate)" stroke="var(--color-rim)" stroke-width="0.6">
      <rect :x="-canner.diameterCm / 2 - 2.4" y="-3" width="4" height="6" rx="1.6" />
      <rect :x="canner.diameterCm / 2 - 1.6" y="-3" width="4" height="6" rx="1.6" />
      <circle :r="canner.diameterCm / 2 + 0.6" />
    </g>
    <circle :r="canner.diameterCm / 2 - 0.2" fill="var(--color-glass)" />
    <g v-for="(s, i) in load.spots" :key="i" :transform="`translate(${s.xCm} ${s.yCm})`">
      <title>{{ jar.one }} {{ i + 1 }} of {{ load.jars }} in load {{ index + 1 }}</title>
      <circle :r="jar.diameterCm / 2" :fill="tint" stroke="var(--color-rim)" stroke-width="0.35" />
      <circle :r="jar.diameterCm / 2 - 0.9" fill="var(--color-plate)" opacity="0.55" />
    </g>
  </svg>
</template>

<style scoped>
.pot {
  display: block;
  width: 100%;
}
</style>
