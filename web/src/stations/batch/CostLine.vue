<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { ref } from 'vue'
import type { Schemas } from '@/api/client'
import PricesForm from './PricesForm.vue'

/** What a jar costs, one tap from what it is made up of and from the prices. */
defineProps<{ costs: Schemas['CostsBody'] | null }>()
const open = ref(false)
</script>

<template>
  <p class="line">
    <template v-if="costs"
      >About <strong data-cost>{{ costs.perJar }}</strong> a jar<template v-if="costs.perLitre"
        >, {{ costs.perLitre }}</template
      >.</template
    >
    <button type="button" class="plain" data-open-costs @click="open = true">
      {{ costs ? 'why?' : 'What does it cost?' }}
    </button>
  </p>
  <Dialog v-if="open" :open="open" class="cover" @close="open = false">
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
        <button type="button" class="key key-main" @click="open = false">Back to the batch</button>
      </div>
    </DialogPanel>
  </Dialog>
</template>

<style scoped>
.line {
  margin: 2px 0 0;
  line-height: 1.3;
}
.plain {
  min-height: 48px;
  padding: 0 6px;
  color: var(--color-rim-text);
  text-decoration: underline;
  text-underline-offset: 3px;
}
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
