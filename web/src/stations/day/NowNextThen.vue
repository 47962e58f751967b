<script setup lang="ts">
import { computed } from 'vue'
import type { Day, Step } from '@/api/day'
import StepRow from './StepRow.vue'

/** On a phone: what is being done, what comes next, and what then. */
const props = defineProps<{ day: Day; pending: boolean; number: (s: Step) => number }>()
defineEmits<{
  tell: [step: string, kind: 'begun' | 'done' | 'back']
  hob: [batch: string, load: number, canner: string]
}>()
const open = computed(() => props.day.steps.filter((s) => s.state === 'ahead' || s.state === 'late'))
const parts = computed(() => [
  { name: 'Now', steps: props.day.steps.filter((s) => s.state === 'now'), none: 'Nothing is under way.' },
  { name: 'Next', steps: open.value.slice(0, 1), none: 'Nothing more: the day is done.' },
  { name: 'Then', steps: open.value.slice(1, 4), none: '' },
])
</script>

<template>
  <section class="plate" aria-label="Now, next, then" data-now-next>
    <template v-for="part in parts" :key="part.name">
      <h2 v-if="part.steps.length || part.none">{{ part.name }}</h2>
      <p v-if="!part.steps.length" class="quiet">{{ part.none }}</p>
      <ol v-else :data-part="part.name.toLowerCase()">
        <StepRow
          v-for="s in part.steps"
          :key="s.key"
          :step="s"
          :number="number(s)"
          :picked="false"
          :big="part.name !== 'Then'"
          :pending="pending"
          @tell="(kind) => $emit('tell', s.key, kind)"
          @hob="$emit('hob', s.batch, s.number, s.canner)"
        />
      </ol>
    </template>
  </section>
</template>

<style scoped>
h2 {
  margin-top: 8px;
}
ol {
  margin: 0;
  padding: 0;
  list-style: none;
}
p {
  margin: 0;
}
</style>
