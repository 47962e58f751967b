<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import type { Schemas } from '@/api/client'

/** What an answer rests on. */
defineProps<{ why: Schemas['WhyBody'] }>()
defineEmits<{ close: [] }>()
</script>

<template>
  <Dialog :open="true" class="cover" @close="$emit('close')">
    <DialogPanel class="plate panel">
      <DialogTitle as="h2">{{ why.title }}</DialogTitle>
      <p v-for="line in why.lines" :key="line">{{ line }}</p>
      <p v-if="why.source" class="quiet">Source: {{ why.source }}</p>
      <button type="button" class="key key-main" @click="$emit('close')">Back to the batch</button>
    </DialogPanel>
  </Dialog>
</template>

<style scoped>
.panel {
  max-width: 620px;
  max-height: 90dvh;
  overflow-y: auto;
}
h2 {
  font-size: 1.35rem;
}
p {
  margin: 8px 0;
  line-height: 1.45;
}
</style>
