<script setup lang="ts">
import { computed } from 'vue'

/** A crate of fruit, as full as there is of it left. */
const props = defineProps<{ tint: string; left: number; name: string; text: string }>()

const rows = 4
const across = 7
const fruits = computed(() => {
  const n = Math.round(rows * across * props.left)
  return Array.from({ length: n }, (_, i) => {
    const row = Math.floor(i / across)
    return { x: 6 + (i % across) * 11 + (row % 2) * 4, y: 46 - row * 9 }
  })
})
</script>

<template>
  <svg viewBox="0 0 90 60" class="crate" role="img" :aria-label="`${name}: ${text} left`">
    <circle
      v-for="(f, i) in fruits"
      :key="i"
      :cx="f.x"
      :cy="f.y"
      r="6"
      :fill="tint"
      stroke="var(--color-rim)"
      stroke-width="0.8"
    />
    <g fill="var(--color-plate)" stroke="var(--color-rim)" stroke-width="1.4">
      <rect x="1" y="34" width="88" height="8" rx="1.5" />
      <rect x="1" y="46" width="88" height="8" rx="1.5" />
      <rect x="3" y="26" width="5" height="32" rx="1.5" />
      <rect x="82" y="26" width="5" height="32" rx="1.5" />
    </g>
  </svg>
</template>

<style scoped>
.crate {
  display: block;
  width: 100%;
}
</style>
