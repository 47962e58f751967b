<script setup lang="ts">
import { computed } from 'vue'
import type { LoadNow } from '@/api/stove'
import { tint as tintOf } from './tints'

/** A pot on the hob from above: its jars, its clock round the rim, the time in the middle. */
const props = defineProps<{ load: LoadNow; chosen: boolean }>()

const a = computed(() => props.load.about)
const halfX = computed(() => (a.value.diameterCm || a.value.lengthCm) / 2)
const halfY = computed(() => (a.value.diameterCm || a.value.widthCm) / 2)
const reach = computed(() => Math.max(halfX.value, halfY.value) * 1.12)
const tint = computed(() => tintOf(a.value.product, a.value.kind))
const jars = computed(() => {
  let n = 0
  return a.value.tiers
    .flatMap((t) => t.jars)
    .map((j) => ({ ...j, n: ++n, now: props.load.jars[n - 1] }))
    .slice(0, a.value.tiers[0]?.jars.length)
})
const ring = computed(() => 2 * Math.PI * reach.value)
const wet = computed(() => props.load.phase !== 'filling' && props.load.phase !== 'cooling')
/** As large as the pot's middle lets it be. */
const size = computed(() => reach.value * (props.load.left.length > 5 ? 0.42 : 0.56))
</script>

<template>
  <svg
    class="clock"
    :class="`is-${load.phase}`"
    :viewBox="`${-reach - 2} ${-reach - 2} ${2 * reach + 4} ${2 * reach + 4}`"
    role="img"
    :aria-label="`${a.canner}: ${a.headline}, ${load.phaseWords}${load.left ? `, ${load.left} ${load.leftWords}` : ''}`"
  >
    <circle :r="reach" class="track" :class="{ chosen }" />
    <circle
      v-if="load.part > 0"
      :r="reach"
      class="part"
      :stroke-dasharray="`${ring * load.part} ${ring}`"
      transform="rotate(-90)"
    />
    <circle v-if="a.diameterCm" :r="halfX" class="wall" :class="{ wet }" />
    <rect
      v-else
      :x="-halfX"
      :y="-halfY"
      :width="2 * halfX"
      :height="2 * halfY"
      rx="2"
      class="wall"
      :class="{ wet }"
    />
    <g v-for="j in jars" :key="j.n" :transform="`translate(${j.xCm} ${j.yCm})`">
      <title>
        Jar {{ j.n }}{{ j.now?.text ? `: ${j.now.text}` : '' }}{{ j.now?.corrected ? ', corrected' : '' }}
      </title>
      <circle
        :r="j.diameterCm / 2"
        :fill="j.now?.bad ? 'var(--color-plate)' : tint"
        stroke="var(--color-rim)"
        stroke-width="0.35"
      />
      <circle
        v-if="j.now?.corrected"
        :r="j.diameterCm / 2 - 0.8"
        fill="none"
        stroke="var(--color-rim)"
        stroke-width="0.3"
        stroke-dasharray="1 0.7"
      />
      <path
        v-if="j.now?.bad"
        d="M-2.2 -2.2 L2.2 2.2 M-2.2 2.2 L2.2 -2.2"
        stroke="var(--color-stop)"
        stroke-width="0.9"
        stroke-linecap="round"
      />
    </g>
    <template v-if="load.left && load.phase !== 'cooling'">
      <rect
        :x="-reach * 0.86"
        :y="-size * 0.62"
        :width="reach * 1.72"
        :height="size * 1.24"
        :rx="size * 0.3"
        class="face"
      />
      <text text-anchor="middle" :y="size * 0.35" :font-size="size" class="time" data-clock>
        {{ load.left }}
      </text>
    </template>
  </svg>
</template>

<style scoped>
.clock {
  display: block;
  width: 100%;
  height: 100%;
}
.track {
  fill: none;
  stroke: var(--color-line);
  stroke-width: 2.4;
}
.track.chosen {
  stroke: var(--color-quiet);
}
.part {
  fill: none;
  stroke: var(--color-go);
  stroke-width: 2.4;
}
.is-time-up .part {
  stroke: var(--color-wait-fill);
}
.is-lost .track,
.is-held .track {
  stroke: var(--color-stop);
}
.wall {
  fill: var(--color-plate);
  stroke: var(--color-rim);
  stroke-width: 0.8;
}
.wall.wet {
  fill: var(--color-glass);
}
.face {
  fill: var(--color-plate);
  opacity: 0.93;
}
.time {
  font-weight: 800;
  fill: var(--color-ink);
}
</style>
