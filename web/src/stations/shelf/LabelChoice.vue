<script setup lang="ts">
import { computed } from 'vue'
import { useLabelChanges, type LabelQuery, type Labels, type Sheet } from '@/api/labels'
import { useFound, type Place } from '@/api/shelf'

/** Which jars are to have labels, and on what sheet. */
const props = defineProps<{ labels: Labels; places: Place[] }>()
defineEmits<{ measure: [what: { sheet?: Sheet }] }>()
const query = defineModel<LabelQuery>('query', { required: true })
const which = defineModel<string>('which', { required: true })
const { remove } = useLabelChanges()
const { data: found } = useFound(computed(() => query.value.q))
const sheet = computed(() => props.labels.sheets.find((s) => s.id === query.value.sheet))
</script>

<template>
  <form class="plate" aria-label="Which labels" @submit.prevent>
    <h2>For</h2>
    <label v-if="query.load" class="choice-row"
      ><input v-model="which" type="radio" value="load" /> the load that was just put away</label
    >
    <label class="choice-row"
      ><input v-model="which" type="radio" value="place" /> all jars in
      <select
        v-model="query.place"
        class="field"
        aria-label="Place"
        @change="which = which === 'boxes' ? 'boxes' : 'place'"
      >
        <option v-for="p in places.filter((p) => p.id)" :key="p.id" :value="p.id">
          {{ p.name }}
        </option>
      </select></label
    >
    <label class="choice-row"
      ><input v-model="which" type="radio" value="boxes" data-which-boxes /> the end of that box or board,
      with what is in it</label
    >
    <label class="choice-row"
      ><input v-model="which" type="radio" value="words" /> jars found by
      <input
        v-model="query.q"
        class="field"
        placeholder="plums 2026"
        autocomplete="off"
        aria-label="Words"
        @focus="which = 'words'"
      />
      <span v-if="which === 'words' && query.q && found" class="quiet">{{ found.total }}</span></label
    >
    <label class="choice-row"
      ><input v-model="which" type="radio" value="jars" /> these jars
      <input
        v-model="query.jars"
        class="field"
        placeholder="k7qd2x, 3hr8vw"
        autocomplete="off"
        aria-label="Letters of jars"
        data-field="label-jars"
        @focus="which = 'jars'"
    /></label>
    <h2>On</h2>
    <label class="choice-row"
      ><span class="heard">Labels</span>
      <select v-model="query.sheet" class="field wide" data-sheet>
        <option v-for="s in labels.sheets" :key="s.id" :value="s.id">{{ s.name }}: {{ s.text }}</option>
      </select></label
    >
    <div class="keys">
      <button type="button" class="key" data-new-sheet @click="$emit('measure', {})">
        Measure other labels
      </button>
      <button v-if="sheet?.own" type="button" class="key" @click="$emit('measure', { sheet })">
        Change these
      </button>
      <button v-if="sheet?.own" type="button" class="key" @click="remove.mutate(sheet.id)">Take away</button>
    </div>
    <div class="numbers">
      <label>From label<input v-model="query.first" type="number" min="1" max="400" class="field" /></label>
      <label>Of each<input v-model="query.copies" type="number" min="1" max="20" class="field" /></label>
      <label class="choice-row"><input v-model="query.outline" type="checkbox" /> edges to cut along</label>
      <label class="choice-row"><input v-model="query.noCode" type="checkbox" /> no code</label>
    </div>
  </form>
</template>

<style scoped src="./page.css"></style>
<style scoped>
.choice-row .field {
  flex: 1;
  min-width: 0;
}
.numbers {
  display: grid;
  grid-template-columns: 110px 110px 1fr;
  gap: 4px 14px;
  align-items: end;
  margin-top: 10px;
}
.numbers label:not(.choice-row) {
  font-weight: 600;
}
.numbers .field {
  display: block;
  width: 100%;
}
.numbers .choice-row:last-child {
  grid-column: 3;
}
@media (max-width: 640px) {
  .numbers {
    grid-template-columns: 1fr 1fr;
  }
  .numbers .choice-row {
    grid-column: auto !important;
  }
}
</style>
