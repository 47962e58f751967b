<script setup lang="ts">
import { computed, useId } from 'vue'
import type { Schemas } from '@/api/client'

/** A jar to scale, 1 unit of the drawing to the centimetre, with its headspace, liquid and fruit. */
const props = defineProps<{
  jar: Schemas['JarBody']
  tint: string
  form: string
  headspaceCm?: number
  headspace?: string
}>()

const clip = useId()
const lidCm = 1.4
const w = computed(() => props.jar.diameterCm)
const h = computed(() => props.jar.heightCm)
const mouth = computed(() => Math.min(props.jar.mouth === 'wide' ? 7.6 : 6.0, w.value - 0.6))

const body = computed(() => {
  const neck = lidCm + 0.5
  const shoulder = neck + Math.min(2.4, h.value * 0.16)
  const left = (w.value - mouth.value) / 2
  const right = w.value - left
  const r = 0.9
  return (
    `M${left} ${lidCm} V${neck} C${left} ${shoulder - 0.6} 0.15 ${shoulder - 0.8} 0.15 ${shoulder + 0.6} ` +
    `V${h.value - r} Q0.15 ${h.value} ${r} ${h.value} H${w.value - r} Q${w.value - 0.15} ${h.value} ${w.value - 0.15} ${h.value - r} ` +
    `V${shoulder + 0.6} C${w.value - 0.15} ${shoulder - 0.8} ${right} ${shoulder - 0.6} ${right} ${neck} V${lidCm} Z`
  )
})

/** Where the food ends: the headspace below the rim. */
const top = computed(() => lidCm + (props.headspaceCm ?? 1.27))

interface Piece {
  x: number
  y: number
  turn: number
}
const sizes: Record<string, number> = {
  halves: 5,
  quarters: 3.6,
  slices: 2.6,
  chunks: 2.4,
  sections: 3,
  rings: 4,
  pieces: 2.2,
  pitted: 1.9,
  whole: 2,
}
const size = computed(() => {
  const s = sizes[props.form] ?? 0
  return Math.min(s, w.value * 0.5)
})

/** Pieces in rows from the bottom up, each row shifted by half, turned by turns: the same every time. */
const pieces = computed<Piece[]>(() => {
  const s = size.value
  if (!s) return []
  const out: Piece[] = []
  const tall = ['halves', 'sections', 'slices', 'quarters'].includes(props.form) ? 0.62 : 0.92
  for (let row = 0, y = h.value - s * 0.45; y > top.value + s * 0.3; row++, y -= s * tall) {
    for (let i = 0, x = (row % 2) * s * 0.5; x < w.value + s * 0.5; i++, x += s * 0.98) {
      out.push({ x, y, turn: ((row * 7 + i * 5) % 9) * 5 - 20 })
    }
  }
  return out
})
</script>

<template>
  <svg
    class="jar"
    :viewBox="`-0.3 -0.3 ${w + 6.6} ${h + 0.6}`"
    :style="{ height: `${h * 0.64}rem`, width: `${(w + 6.6) * 0.64}rem` }"
    role="img"
    :aria-label="`A ${jar.one}, to scale${headspace ? `, ${headspace} of headspace` : ''}`"
  >
    <title>{{ jar.one }}, {{ Math.round(jar.capacityMl) }} ml</title>
    <clipPath :id="clip"><path :d="body" /></clipPath>
    <path :d="body" fill="var(--color-glass)" />
    <g :clip-path="`url(#${clip})`">
      <rect x="0" :y="top" :width="w" :height="h" :fill="tint" :opacity="size ? 0.34 : 0.95" />
      <g v-for="(p, i) in pieces" :key="i" :transform="`translate(${p.x} ${p.y}) rotate(${p.turn})`">
        <circle
          v-if="form === 'whole' || form === 'pitted'"
          :r="size * 0.46"
          :fill="tint"
          stroke="#fff8"
          stroke-width="0.12"
        />
        <rect
          v-else-if="form === 'chunks' || form === 'pieces'"
          :x="-size * 0.42"
          :y="-size * 0.42"
          :width="size * 0.84"
          :height="size * 0.84"
          rx="0.35"
          :fill="tint"
          stroke="#fff8"
          stroke-width="0.12"
        />
        <path
          v-else
          :d="`M${-size * 0.48} 0 A${size * 0.48} ${size * 0.42} 0 0 1 ${size * 0.48} 0 Q0 ${size * 0.2} ${-size * 0.48} 0 Z`"
          :fill="tint"
          stroke="#fff9"
          stroke-width="0.12"
        />
      </g>
      <line x1="0" :x2="w" :y1="top" :y2="top" stroke="var(--color-ink)" stroke-width="0.09" opacity="0.6" />
    </g>
    <path :d="body" fill="none" stroke="var(--color-rim)" stroke-width="0.22" />
    <rect
      :x="(w - mouth) / 2 - 0.3"
      y="0"
      :width="mouth + 0.6"
      :height="lidCm"
      rx="0.25"
      fill="var(--color-line)"
      stroke="var(--color-rim)"
      stroke-width="0.16"
    />
    <g v-if="headspace" stroke="var(--color-ink)" stroke-width="0.09">
      <line :x1="w / 2 + mouth / 2 + 0.2" :x2="w + 0.9" :y1="lidCm" :y2="lidCm" />
      <line :x1="w / 2 + mouth / 2 - 0.2" :x2="w + 0.9" :y1="top" :y2="top" />
      <line :x1="w + 0.6" :x2="w + 0.6" :y1="lidCm" :y2="top" />
    </g>
    <text
      v-if="headspace"
      :x="w + 1.2"
      :y="(lidCm + top) / 2 + 0.42"
      font-size="1.55"
      font-weight="700"
      fill="var(--color-ink)"
    >
      {{ headspace }}
    </text>
  </svg>
</template>

<style scoped>
.jar {
  display: block;
  flex: none;
}
</style>
