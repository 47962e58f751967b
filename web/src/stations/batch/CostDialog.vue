<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import type { Schemas } from '@/api/client'
import PricesForm from './PricesForm.vue'

/** What a jar costs, thing by thing, and the prices. */
defineProps<{ costs: Schemas['CostsBody'] | null }>()
defineEmits<{ close: [] }>()
</script>

<template>
  <Dialog :open="true" class="cover" @close="$emit('close')">
    <DialogPanel class="plate panel" data-costs>
      <DialogTitle as="h2">What it costs</DialogTitle>
      <dl v-if="costs">
        <template v-for="l in costs.lines" :key="l.what">
          <dt>{{ l.what }}</dt>
          <dd>{{ l.money }}</dd>
        </template>
        <dt>a jar</dt>
        <dd>
          <strong>{{ costs.perJar }}</strong>
        </dd>
      </dl>
      <p v-if="costs?.missing">{{ costs.missing }}</p>
      <p v-if="costs?.against">{{ costs.against }}</p>
      <PricesForm />
      <div class="keys">
        <button type="button" class="key key-main" @click="$emit('close')">Back to the batch</button>
      </div>
    </DialogPanel>
  </Dialog>
</template>

<style scoped>
.panel {
  width: min(760px, 100%);
  max-height: calc(100dvh - 24px);
  overflow-y: auto;
}
h2 {
  font-size: 1.35rem;
}
dl {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 2px 16px;
  margin: 6px 0;
  line-height: 1.4;
}
dt::first-letter {
  text-transform: uppercase;
}
dd {
  margin: 0;
  text-align: right;
}
.keys {
  display: flex;
  justify-content: flex-end;
  margin-top: 12px;
}
</style>
