<script setup lang="ts">
import { lettersOn } from '@/parts/letters'
import { scheme, type Scheme } from '@/parts/scheme'
import { stations } from '@/stations/stations'

const schemes: { id: Scheme; name: string }[] = [
  { id: 'light', name: 'Bright, for daylight' },
  { id: 'dim', name: 'Dim, for evenings' },
  { id: 'device', name: 'As this device says' },
]
const letters = stations.map((s) => s.letter).join(', ')
</script>

<template>
  <section class="plate">
    <h2>This device</h2>
    <fieldset>
      <legend>Brightness</legend>
      <label v-for="s in schemes" :key="s.id" class="choice-row">
        <input v-model="scheme" type="radio" :value="s.id" name="scheme" /> {{ s.name }}
      </label>
    </fieldset>
    <label class="choice-row"
      ><input v-model="lettersOn" type="checkbox" data-field="letters" /> Single letters go to stations ({{
        letters
      }})</label
    >
  </section>
</template>

<style scoped>
fieldset {
  margin: 0 0 6px;
  padding: 0;
  border: 0;
}
legend {
  font-weight: 600;
}
</style>
