<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { reactive } from 'vue'
import { useShelfChanges, type Place } from '@/api/shelf'
import { useProblems } from '@/parts/problems'

/** A place where jars stand: added, renamed, or taken away while it is empty. */
const props = defineProps<{ place?: Place }>()
const emit = defineEmits<{ close: [] }>()
const { keepPlace, removePlace } = useShelfChanges()
const { problems, trying } = useProblems()
const fields = reactive({ name: props.place?.name ?? '', kind: props.place?.kind ?? ('shelf' as const) })
const kinds = [
  { id: 'shelf', name: 'a shelf or a board of one' },
  { id: 'box', name: 'a box' },
  { id: 'loft', name: 'a loft' },
]
const keep = () =>
  trying(() => keepPlace.mutateAsync({ id: props.place?.id, fields })).then((ok) => ok && emit('close'))
const remove = () => trying(() => removePlace.mutateAsync(props.place!.id)).then((ok) => ok && emit('close'))
</script>

<template>
  <Dialog :open="true" class="cover" @close="$emit('close')">
    <DialogPanel class="plate panel" data-place-form>
      <DialogTitle as="h2">{{ place ? place.name : 'Another place' }}</DialogTitle>
      <form @submit.prevent="keep">
        <p v-for="(text, field) in problems" :key="field" class="problem" role="alert">{{ text }}</p>
        <label class="labelled"
          ><span>What you call it</span
          ><input
            v-model="fields.name"
            class="field"
            maxlength="60"
            placeholder="cellar, top board"
            data-field="place-name"
            autocomplete="off"
        /></label>
        <fieldset>
          <legend class="heard">What it is</legend>
          <label v-for="k in kinds" :key="k.id" class="choice-row"
            ><input v-model="fields.kind" type="radio" name="kind" :value="k.id" /> {{ k.name }}</label
          >
        </fieldset>
        <p class="hint">Cool, dark and dry, 50 to 70 °F, below 95 °F, out of the sun; bands off.</p>
        <div class="keys">
          <button v-if="place" type="button" class="key" @click="remove">Take it away</button>
          <button type="button" class="key" @click="$emit('close')">Back</button>
          <button type="submit" class="key key-main" data-keep-place>Keep</button>
        </div>
      </form>
    </DialogPanel>
  </Dialog>
</template>

<style scoped>
.panel {
  width: min(520px, 100%);
}
.panel h2 {
  font-size: 1.35rem;
}
fieldset {
  margin: 8px 0 0;
  padding: 0;
  border: 0;
}
.keys {
  display: flex;
  flex-wrap: wrap;
  justify-content: flex-end;
  gap: 10px;
}
</style>
