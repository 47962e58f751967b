<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { reactive } from 'vue'
import type { Found, TrayJar } from '@/api/tray'

/** All that may be found of a jar. */
const props = defineProps<{ jar: TrayJar }>()
const emit = defineEmits<{ found: [fields: Found]; close: [] }>()
const seals = [
  { id: 'sealed', name: 'Sealed' },
  { id: 'unsealed', name: 'Not sealed' },
  { id: 'false-seal', name: 'It came loose without its band' },
  { id: 'broken', name: 'Broken' },
] as const
const lost = [
  { part: 0, name: 'All its liquid is there' },
  { part: 0.2, name: 'A little is gone' },
  { part: 0.5, name: 'Up to half' },
  { part: 0.8, name: 'More than half' },
]
const fields = reactive<Found>({
  jars: [props.jar.n],
  seal: (props.jar.seal || 'sealed') as Found['seal'],
  liquidLost: 0,
  float: false,
  cloudy: false,
})
</script>

<template>
  <Dialog :open="true" class="cover" @close="$emit('close')">
    <DialogPanel class="plate panel" data-found-dialog>
      <DialogTitle as="h2">Jar {{ jar.n }}</DialogTitle>
      <form @submit.prevent="emit('found', { ...fields })">
        <fieldset>
          <legend>Its seal</legend>
          <label v-for="s in seals" :key="s.id" class="choice-row"
            ><input v-model="fields.seal" type="radio" name="seal" :value="s.id" /> {{ s.name }}</label
          >
        </fieldset>
        <fieldset>
          <legend>Its liquid</legend>
          <label v-for="l in lost" :key="l.part" class="choice-row"
            ><input v-model="fields.liquidLost" type="radio" name="lost" :value="l.part" />
            {{ l.name }}</label
          >
        </fieldset>
        <fieldset>
          <legend>Its looks</legend>
          <label class="choice-row"><input v-model="fields.float" type="checkbox" /> the fruit floats</label>
          <label class="choice-row"
            ><input v-model="fields.cloudy" type="checkbox" /> the liquid is cloudy</label
          >
        </fieldset>
        <div class="keys">
          <button type="button" class="key" @click="$emit('close')">Back</button>
          <button type="submit" class="key key-main" data-keep-found>So it is</button>
        </div>
      </form>
    </DialogPanel>
  </Dialog>
</template>

<style scoped>
.panel {
  width: min(720px, 100%);
  max-height: calc(100dvh - 24px);
  overflow-y: auto;
}
h2 {
  font-size: 1.35rem;
}
form {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 210px), 1fr));
  gap: 8px 18px;
}
fieldset {
  margin: 0;
  padding: 0;
  border: 0;
}
legend {
  font-weight: 600;
}
.keys {
  grid-column: 1 / -1;
  display: flex;
  justify-content: flex-end;
  gap: 10px;
}
.key {
  min-height: 64px;
}
</style>
