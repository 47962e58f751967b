<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue'
import type { Plan, Schemas } from '@/api/client'

/** One tap from an answer to what it rests on. */
const props = defineProps<{ plan: Plan; about: Schemas['WhyBody']['about'] }>()

const WhyDialog = defineAsyncComponent(() => import('./WhyDialog.vue'))
const open = ref(false)
const why = computed(() => props.plan.why.find((w) => w.about === props.about))
</script>

<template>
  <button v-if="why" type="button" class="why" :data-why="about" :aria-label="why.title" @click="open = true">
    why?
  </button>
  <WhyDialog v-if="why && open" :why="why" @close="open = false" />
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
</style>
