<script setup lang="ts">
import { computed } from 'vue'
import type { TrayLoad } from '@/api/tray'
import { tint as tintOf } from './tints'

/** The jars of a load where they stood, each with what was found of it. */
const props = defineProps<{ load: TrayLoad }>()
const tint = computed(() => tintOf(props.load.about.product, props.load.about.kind))
const jars = computed(() => {
  const byN = new Map(props.load.jars.map((j) => [j.n, j]))
  let n = 0
  return props.load.about.tiers
    .flatMap((t) => t.jars)
    .map((j) => ({ ...j, n: ++n, now: byN.get(n) }))
    .filter((j) => j.now)
})
const reach = computed(() =>
  Math.max(...jars.value.map((j) => Math.hypot(j.xCm, j.yCm) + j.diameterCm / 2), 5),
)
</script>

<template>
  <svg
    :viewBox="`${-reach - 1} ${-reach - 1} ${2 * reach + 2} ${2 * reach + 2}`"
    class="tray"
    role="img"
    :aria-label="`${load.about.headline}: the jars where they stood`"
  >
    <g v-for="j in jars" :key="j.n" :transform="`translate(${j.xCm} ${j.yCm})`">
      <title>Jar {{ j.n }}: {{ j.now?.text }}</title>
      <circle
        :r="j.diameterCm / 2"
        :fill="j.now?.done ? 'var(--color-wash)' : tint"
        stroke="var(--color-rim)"
        stroke-width="0.4"
      />
      <circle
        :r="j.diameterCm * 0.34"
        fill="var(--color-plate)"
        stroke="var(--color-rim)"
        stroke-width="0.2"
      />
      <text text-anchor="middle" y="1.3" font-size="3.8">{{ j.n }}</text>
      <path
        v-if="j.now?.seal === 'sealed'"
        d="M2 -3.6 L3.2 -2.4 L5.4 -4.8"
        class="yes"
        :transform="`scale(${j.diameterCm / 11})`"
      />
      <path
        v-else-if="j.now?.seal"
        d="M2.4 -5 L5 -2.4 M5 -5 L2.4 -2.4"
        class="no"
        :transform="`scale(${j.diameterCm / 11})`"
      />
    </g>
  </svg>
</template>

<style scoped>
.tray {
  display: block;
  width: 100%;
}
text {
  font-weight: 700;
  fill: var(--color-ink);
}
.yes,
.no {
  fill: none;
  stroke-width: 1.1;
  stroke-linecap: round;
  stroke-linejoin: round;
}
.yes {
  stroke: var(--color-go);
}
.no {
  stroke: var(--color-stop);
}
</style>
