<script setup lang="ts">
import { refDebounced } from '@vueuse/core'
import { ref } from 'vue'
import { useImportPlaces, usePlaces } from '@/api/altitude'
import { useTakeFile } from '@/parts/takeFile'

/** The altitude of a place: from the list that comes with the kitchen, or the cook's own. */
defineEmits<{ take: [altitude: string] }>()

const name = ref('')
const asked = refDebounced(name, 250)
const { data } = usePlaces(asked)
const bring = useImportPlaces()
const { said, problem, read } = useTakeFile(async (text) => {
  const { own } = await bring.mutateAsync(text)
  return own === 1
    ? 'Taken over. You have 1 place of your own.'
    : `Taken over. You have ${own} places of your own.`
})
</script>

<template>
  <div>
    <label class="labelled">
      <span>Place</span>
      <input
        v-model="name"
        class="field"
        maxlength="80"
        data-field="place"
        placeholder="Corvane"
        autocomplete="off"
        @keypress.enter.prevent
      />
    </label>
    <ul v-if="data?.places.length" aria-label="Places">
      <li v-for="p in data.places" :key="p.name + p.own">
        <button
          type="button"
          class="place"
          :data-place="p.name"
          @click="$emit('take', p.cautious || p.altitude)"
        >
          <strong>{{ p.name }}</strong><span v-if="p.own" class="quiet"> yours</span>, {{ p.altitude }}
          <span class="quiet">column {{ p.band }}</span>
          <span v-if="p.near" class="near">{{ p.near }}</span>
        </button>
      </li>
    </ul>
    <p v-else-if="asked.trim() && data" class="hint">
      No place here is called so. Type the altitude, find it with boiling water, or bring a list of your own.
    </p>
    <details>
      <summary>Bring my own places</summary>
      <p class="hint">
        A CSV file with a first line that says name and altitude, then a place a line: Corvane,"3,480 ft".
        With anything wrong in it, nothing is taken over.
      </p>
      <label class="labelled"
        ><span>CSV file</span
        ><input
          type="file"
          accept=".csv,text/csv,text/plain"
          class="file"
          data-field="places-file"
          @change="read"
      /></label>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <p role="status" class="said">{{ said }}</p>
    </details>
  </div>
</template>

<style scoped>
.field,
.file {
  width: 100%;
}
.file {
  min-height: 48px;
}
ul {
  margin: 6px 0 0;
  padding: 0;
  list-style: none;
  max-height: 300px;
  overflow-y: auto;
}
.place {
  width: 100%;
  min-height: 48px;
  padding: 6px 8px;
  text-align: left;
  line-height: 1.3;
  border-top: 1px solid var(--color-line);
}
.near {
  display: block;
  color: var(--color-wait);
}
summary {
  display: flex;
  align-items: center;
  min-height: 48px;
  cursor: pointer;
  color: var(--color-rim-text);
  text-decoration: underline;
}
.said {
  color: var(--color-go);
  font-weight: 600;
}
</style>
