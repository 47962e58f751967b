<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue'
import type { Plan } from '@/api/client'
import CostLine from './CostLine.vue'
import SharesLine from './SharesLine.vue'
import WhyKey from './WhyKey.vue'
import type { Sentence } from './sentence'

const props = defineProps<{ plan: Plan; sentence: Sentence; tint: string }>()
const s = computed(() => props.sentence)
const spreading = ref(false)
const SpreadDialog = defineAsyncComponent(() => import('./SpreadDialog.vue'))
</script>

<template>
  <section class="plate" aria-label="Jars and fruit">
    <WhyKey :plan="plan" about="jars" />
    <h2>Jars</h2>
    <template v-if="plan.jars">
      <p class="figure" data-jars>{{ plan.jars.text }}</p>
      <p v-if="plan.jars.range" class="small">
        {{ plan.jars.range
        }}<template v-if="!plan.jars.sizes.length"
          >. Have <strong>{{ plan.jars.ready }}</strong> jars and lids ready</template
        >.
      </p>
      <p v-if="plan.jars.learned" class="small quiet" data-learned>{{ plan.jars.learned }}</p>
    </template>
    <p v-if="plan.fruit" class="small">
      from <strong data-fruit>{{ plan.fruit.text }}</strong> of fruit<template v-if="plan.fruit.range"
        >; {{ plan.fruit.range }}</template
      >
    </p>
    <SharesLine v-if="plan.blendable" :plan="plan" :sentence="sentence" @blend="s.blending = true" />
    <p v-if="plan.short" class="note" data-short>{{ plan.short }}</p>
    <button
      v-if="plan.counted && plan.jars?.range && !plan.jars.sizes.length"
      type="button"
      class="key"
      data-open-spread
      @click="spreading = true"
    >
      Into the jars I have
    </button>
    <CostLine v-if="plan.jars" :costs="plan.costs" />
    <SpreadDialog v-if="spreading" :sentence="sentence" :tint="tint" @close="spreading = false" />
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
.key {
  width: 100%;
  margin: 4px 0;
  padding: 6px 8px;
}
.note {
  margin: 6px 0 0;
  color: var(--color-wait);
  font-weight: 600;
}
</style>
