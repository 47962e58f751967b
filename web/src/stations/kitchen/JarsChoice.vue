<script setup lang="ts">
import { computed } from 'vue'
import type { Catalogue } from '@/api/client'

/** Which jars the kitchen has; none ticked means all of its units. */
const jars = defineModel<string[]>({ required: true })
const props = defineProps<{ catalogue: Catalogue; units: string }>()

const sorted = computed(() =>
  [...props.catalogue.jars].sort(
    (a, b) => Number(b.system === props.units) - Number(a.system === props.units),
  ),
)
</script>

<template>
  <fieldset>
    <legend class="heard">Jars</legend>
    <label v-for="j in sorted" :key="j.id" class="choice-row">
      <input v-model="jars" type="checkbox" :value="j.id" :data-jar="j.id" /> {{ j.many }}
    </label>
  </fieldset>
</template>

<style scoped>
fieldset {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
  margin: 0;
  padding: 0;
  border: 0;
}
label::first-letter {
  text-transform: uppercase;
}
</style>
