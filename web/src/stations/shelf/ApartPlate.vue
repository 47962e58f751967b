<script setup lang="ts">
import type { ShelfJar } from '@/api/shelf'

/** Jars that do not stand on a shelf: open, in the refrigerator, frozen or called back. */
defineProps<{ jars: ShelfJar[] }>()
defineEmits<{ take: [id: string] }>()
</script>

<template>
  <section class="plate" aria-label="Open and cold" data-apart>
    <h2>Open, cold or called back</h2>
    <ul>
      <li v-for="j in jars" :key="j.id" :class="j.urgent">
        <span class="words">
          <strong>{{ j.what }}</strong>
          <span>{{ j.text }}</span>
        </span>
        <button type="button" class="key" :data-apart-jar="j.id" @click="$emit('take', j.id)">
          What with it?
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
  padding: 6px 0;
  border-top: 1px solid var(--color-line);
  line-height: 1.3;
}
li:first-child {
  border-top: 0;
}
.words {
  flex: 1 1 190px;
}
.words > * {
  display: block;
}
strong::first-letter {
  text-transform: uppercase;
}
.stop .words span {
  font-weight: 700;
  color: var(--color-stop);
}
.wait .words span {
  font-weight: 700;
  color: var(--color-wait);
}
</style>
