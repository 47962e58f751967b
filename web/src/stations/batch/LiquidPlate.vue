<script setup lang="ts">
import { defineAsyncComponent, ref } from 'vue'
import type { Plan, Schemas } from '@/api/client'
import WhyKey from './WhyKey.vue'
import type { Sentence } from './sentence'

defineProps<{ liquid: Schemas['PourBody']; plan: Plan; sentence: Sentence; tint: string }>()
const bench = ref(false)
const LiquidBench = defineAsyncComponent(() => import('./LiquidBench.vue'))
</script>

<template>
  <section class="plate" aria-label="Liquid">
    <WhyKey :plan="plan" about="liquid" />
    <h2>
      {{ liquid.name }}
      <span v-if="liquid.brix !== null" class="brix" data-brix>{{ liquid.brix }} °Brix</span>
    </h2>
    <p v-if="liquid.nearest" class="small">near to {{ liquid.nearest }}</p>
    <dl v-if="liquid.measures.length" data-syrup>
      <template v-for="m in liquid.measures" :key="m.name">
        <dt>{{ m.name }}</dt>
        <dd>
          <strong>{{ m.amount }}</strong> <span class="quiet">{{ m.beside }}</span>
        </dd>
      </template>
    </dl>
    <p class="small">
      {{ liquid.total }} in all, {{ liquid.perJar }} a jar<span class="quiet">; {{ liquid.spare }}</span>
    </p>
    <p v-for="n in liquid.notes" :key="n" class="small">{{ n }}</p>
    <p v-if="liquid.cutOut" class="small" data-cutout>{{ liquid.cutOut }}.</p>
    <p v-if="liquid.published" class="small quiet">{{ liquid.published }}</p>
    <button type="button" class="key" data-open-bench @click="bench = true">All liquids side by side</button>
    <details v-if="liquid.left" class="small">
      <summary>What is left over</summary>
      {{ liquid.left }}
    </details>
    <LiquidBench v-if="bench" :sentence="sentence" :tint="tint" @close="bench = false" />
  </section>
</template>

<style scoped>
h2::first-letter {
  text-transform: uppercase;
}
.brix {
  font-family: var(--font-text);
  font-size: 0.95rem;
  margin-left: 6px;
  white-space: nowrap;
}
dl {
  margin: 2px 0 4px;
}
dt::first-letter {
  text-transform: uppercase;
}
dd {
  margin: 0 0 4px;
  line-height: 1.2;
}
dd strong {
  font-size: 1.15rem;
}
.small {
  margin: 0 0 2px;
  line-height: 1.3;
}
summary {
  min-height: 48px;
  display: flex;
  align-items: center;
  cursor: pointer;
  color: var(--color-rim-text);
  text-decoration: underline;
  text-underline-offset: 3px;
}
.key {
  width: 100%;
  margin-top: 4px;
  padding: 6px 8px;
}
</style>
