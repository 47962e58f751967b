<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { computed, ref } from 'vue'
import type { Plan, Schemas } from '@/api/client'

/** One tap from an answer to what it rests on. */
const props = defineProps<{ plan: Plan; about: Schemas['WhyBody']['about'] }>()

const open = ref(false)
const why = computed(() => props.plan.why.find((w) => w.about === props.about))
</script>

<template>
  <button v-if="why" type="button" class="why" :data-why="about" :aria-label="why.title" @click="open = true">
    why?
  </button>
  <Dialog v-if="why" :open="open" class="cover" @close="open = false">
    <DialogPanel class="plate panel">
      <DialogTitle as="h2">{{ why.title }}</DialogTitle>
      <p v-for="line in why.lines" :key="line">{{ line }}</p>
      <p v-if="why.source" class="quiet">Source: {{ why.source }}</p>
      <button type="button" class="key key-main" @click="open = false">Back to the batch</button>
    </DialogPanel>
  </Dialog>
</template>

<style scoped>
.why {
  float: right;
  min-width: 56px;
  min-height: 48px;
  margin: -10px -10px 0 4px;
  color: var(--color-rim-text);
  text-decoration: underline;
  text-underline-offset: 3px;
}
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
