<script setup lang="ts">
import { RouterLink } from 'vue-router'
import { useShelf } from '@/api/shelf'

/** The pages of the shelf, with what waits on them. */
const { data: shelf } = useShelf()
const pages = [
  { name: 'shelf', title: 'Shelf' },
  { name: 'jars', title: 'All jars' },
  { name: 'round', title: 'Look over' },
  { name: 'wants', title: 'Wants' },
  { name: 'labels', title: 'Labels' },
  { name: 'recalls', title: 'Call back' },
  { name: 'bench', title: 'For the show' },
] as const
const waits = (name: string) =>
  name === 'round' ? shelf.value?.due : name === 'recalls' ? shelf.value?.recalls : 0
</script>

<template>
  <nav aria-label="Pages of the shelf" class="no-print">
    <RouterLink
      v-for="p in pages"
      :key="p.name"
      :to="{ name: p.name }"
      :class="{ here: $route.name === p.name }"
      :data-page="p.name"
      >{{ p.title }}<span v-if="waits(p.name)" class="waits">{{ waits(p.name) }}</span></RouterLink
    >
  </nav>
</template>

<style scoped src="../pages.css"></style>
<style scoped>
nav {
  margin-bottom: 8px;
}
a {
  gap: 8px;
}
.waits {
  padding: 1px 9px;
  border-radius: 12px;
  background: var(--color-wait-fill);
  color: #14202e;
}
</style>
