<script setup lang="ts">
import { computed } from 'vue'
import type { Plan } from '@/api/client'
import { useFruit } from '@/api/fruit'
import type { Sentence } from './sentence'

/** Varieties blended by share: how much of each, and how they taste together. */
defineProps<{ plan: Plan; sentence: Sentence }>()
defineEmits<{ blend: [] }>()
const { data: fruit } = useFruit()
const known = computed(() => (fruit.value?.varieties ?? []).map((v) => v.name).join(', '))
</script>

<template>
  <div class="shares" data-shares>
    <button
      v-if="!sentence.request.varieties && !sentence.blending"
      type="button"
      class="plain"
      data-blend-varieties
      @click="$emit('blend')"
    >
      Blend varieties
    </button>
    <p v-else-if="!sentence.request.varieties && known" class="quiet">You know {{ known }}.</p>
    <template v-if="plan.shares">
      <dl>
        <template v-for="p in plan.shares.parts" :key="p.name">
          <dt>
            {{ p.name }}<span v-if="p.note" class="quiet">, {{ p.note }}</span>
          </dt>
          <dd>
            <strong>{{ p.amount }}</strong>
          </dd>
        </template>
      </dl>
      <p v-if="plan.shares.taste" data-taste>{{ plan.shares.taste }}</p>
    </template>
  </div>
</template>

<style scoped>
.shares {
  margin: 4px 0;
  line-height: 1.3;
}
p {
  margin: 2px 0;
}
dl {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 2px 10px;
  margin: 4px 0;
}
dd {
  margin: 0;
}
.plain {
  min-height: 48px;
  color: var(--color-rim-text);
  text-decoration: underline;
  text-underline-offset: 3px;
}
</style>
