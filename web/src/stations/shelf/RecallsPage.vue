<script setup lang="ts">
import { computed, ref } from 'vue'
import { RouterLink } from 'vue-router'
import { useFruit } from '@/api/fruit'
import { useFound } from '@/api/shelf'
import { useRecalls } from '@/api/trace'
import { useTray } from '@/api/tray'
import ShelfNav from './ShelfNav.vue'
import TracePlate from './TracePlate.vue'

/** Where jars are called back: from a jar, from a load on the tray, or from a lot of fruit. */
const { data: recalls } = useRecalls()
const { data: tray } = useTray()
const { data: fruit } = useFruit()
const words = ref('')
const { data: found } = useFound(words)
const loads = computed(() => {
  const seen = new Map<string, string>()
  for (const l of tray.value ?? []) seen.set(l.id, `${l.about.headline}, lifted ${l.since} ago`)
  return [...seen].map(([id, text]) => ({ id, text }))
})
const picked = ref<{ of: 'load' | 'lot'; id: string }>()
</script>

<template>
  <div class="page" data-recalls>
    <ShelfNav />
    <h1>Call jars back</h1>
    <p class="lead">
      When a load turns out to have been short, or its fruit bad: find one jar of it, and every other is
      found, wherever it is and whoever has it.
    </p>
    <section v-if="recalls?.length" class="plate" aria-label="Called back">
      <h2>Called back</h2>
      <ul>
        <li v-for="r in recalls" :key="r.id">
          <RouterLink
            :to="{ name: 'recall', params: { id: r.id } }"
            class="line"
            :class="{ stop: !r.done }"
            >{{ r.text }}</RouterLink
          >
        </li>
      </ul>
    </section>
    <section class="plate" aria-label="From what">
      <h2>From what</h2>
      <label class="labelled"
        ><span>A jar of it</span
        ><input
          v-model="words"
          type="search"
          class="field"
          placeholder="the letters on its lid, or what is in it"
          autocomplete="off"
          data-find
      /></label>
      <ul v-if="words.trim() && found" class="found">
        <li v-for="j in found.jars.slice(0, 8)" :key="j.id">
          <RouterLink :to="{ name: 'jar', params: { id: j.id } }" class="line"
            >{{ j.what }}, {{ j.canned }}, jar {{ j.id }}</RouterLink
          >
        </li>
        <li v-if="!found.total" class="quiet">Nothing in the house has all of these words.</li>
      </ul>
      <div v-if="loads.length || fruit?.lots.length" class="keys">
        <button
          v-for="l in loads"
          :key="l.id"
          type="button"
          class="key"
          @click="picked = { of: 'load', id: l.id }"
        >
          {{ l.text }}
        </button>
        <button
          v-for="l in fruit?.lots ?? []"
          :key="l.id"
          type="button"
          class="key"
          :data-lot="l.id"
          @click="picked = { of: 'lot', id: l.id }"
        >
          {{ l.name }}
        </button>
      </div>
    </section>
    <TracePlate v-if="picked" :key="picked.id" :of="picked.of" :ref-id="picked.id" batch="" />
  </div>
</template>

<style scoped src="./page.css"></style>
<style scoped>
.line {
  display: inline-flex;
  align-items: center;
  min-height: 48px;
}
.found {
  margin: 4px 0 8px;
}
.keys {
  margin-top: 10px;
}
</style>
