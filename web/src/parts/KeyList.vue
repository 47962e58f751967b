<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { stations } from '@/stations/stations'

defineEmits<{ close: [] }>()
</script>

<template>
  <Dialog :open="true" class="cover" @close="$emit('close')">
    <DialogPanel class="plate panel">
      <DialogTitle as="h2">Keys</DialogTitle>
      <dl>
        <template v-for="s in stations" :key="s.name">
          <dt>{{ s.letter }}</dt>
          <dd>go to {{ s.title }}</dd>
        </template>
        <dt>Tab</dt>
        <dd>to the next word of the sentence that can be changed</dd>
        <dt>Space, Enter</dt>
        <dd>open its choices, or press the key in focus</dd>
        <dt>↑ ↓</dt>
        <dd>move among choices; letters jump to one</dd>
        <dt>?</dt>
        <dd>this list</dd>
      </dl>
      <p class="quiet">Letters can be switched off in Kitchen.</p>
      <button type="button" class="key key-main" @click="$emit('close')">Back to work</button>
    </DialogPanel>
  </Dialog>
</template>

<style scoped>
.panel {
  max-width: 480px;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 6px 18px;
  margin: 8px 0;
}
dt {
  font-weight: 700;
}
dd {
  margin: 0;
}
</style>
