<script setup lang="ts">
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import { useBatches } from '@/api/batches'
import type { Hob } from '@/api/stove'

/** Saved batches with a time, of which a load can go on the hob. */
const props = defineProps<{ hob: Hob; small?: boolean }>()
const { data: batches } = useBatches()
const ready = computed(() => (batches.value ?? []).filter((b) => b.minutes && b.jars))
const open = (id: string) => props.hob.open(id)
</script>

<template>
  <section class="plate">
    <h2>{{ small ? 'Another load onto the hob' : 'What goes on the hob?' }}</h2>
    <p v-if="!small">
      Pick a saved batch: its next load is put on the hob, and the station remembers the rest for you. New to
      this? <RouterLink :to="{ name: 'practice' }" data-practise>Practise first</RouterLink>, in two minutes.
    </p>
    <p v-if="!ready.length">
      No saved batch has a time and jars yet.
      <RouterLink :to="{ name: 'batch' }">Plan one</RouterLink>, and save it.
    </p>
    <ul>
      <li v-for="b in ready" :key="b.id">
        <button type="button" class="key" :data-onto="b.product" @click="open(b.id)">
          <strong>{{ b.headline }}</strong>
          <span>{{ b.jars }}, {{ b.minutes }} min</span>
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
p {
  margin: 2px 0 8px;
  line-height: 1.35;
}
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 300px), 1fr));
  gap: 10px;
  margin: 0;
  padding: 0;
  list-style: none;
}
.key {
  width: 100%;
  min-height: 64px;
  text-align: left;
  line-height: 1.25;
}
.key span {
  display: block;
  font-weight: 400;
}
strong::first-letter {
  text-transform: uppercase;
}
</style>
