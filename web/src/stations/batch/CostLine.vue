<script setup lang="ts">
import { defineAsyncComponent, ref } from 'vue'
import type { Schemas } from '@/api/client'

/** What a jar costs, one tap from what it is made up of and from the prices. */
defineProps<{ costs: Schemas['CostsBody'] | null }>()
const CostDialog = defineAsyncComponent(() => import('./CostDialog.vue'))
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
  <CostDialog v-if="open" :costs="costs" @close="open = false" />
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
</style>
