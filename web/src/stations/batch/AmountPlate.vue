<script setup lang="ts">
import type { Plan } from '@/api/client'
import WhyKey from './WhyKey.vue'

defineProps<{ plan: Plan }>()
</script>

<template>
  <section class="plate" aria-label="Jars and fruit">
    <WhyKey :plan="plan" about="jars" />
    <h2>Jars</h2>
    <template v-if="plan.jars">
      <p class="figure" data-jars>{{ plan.jars.text }}</p>
      <p v-if="plan.jars.range" class="small">
        {{ plan.jars.range }}. Have <strong>{{ plan.jars.ready }}</strong> jars and lids ready.
      </p>
      <p v-if="plan.jars.learned" class="small quiet" data-learned>{{ plan.jars.learned }}</p>
    </template>
    <p v-if="plan.fruit" class="small">
      from <strong data-fruit>{{ plan.fruit.text }}</strong> of fruit<template v-if="plan.fruit.range"
        >; {{ plan.fruit.range }}</template
      >
    </p>
    <p v-if="plan.preparing" class="small quiet">{{ plan.preparing }}</p>
    <p v-if="plan.lotNote" class="note" data-lot-note>{{ plan.lotNote }}</p>
    <p v-if="plan.amountNote" class="note" data-note>{{ plan.amountNote }}</p>
  </section>
</template>

<style scoped>
.figure {
  margin: 0;
  font-size: 1.75rem;
  font-weight: 700;
  line-height: 1.15;
}
.small {
  margin: 2px 0 0;
  line-height: 1.3;
}
.note {
  margin: 6px 0 0;
  color: var(--color-wait);
  font-weight: 600;
}
</style>
