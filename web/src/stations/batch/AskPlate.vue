<script setup lang="ts">
import { QuestionMarkCircleIcon } from '@heroicons/vue/24/outline'
import { RouterLink } from 'vue-router'
import type { Plan } from '@/api/client'

defineProps<{ plan: Plan }>()
</script>

<template>
  <section class="plate ask" aria-label="Process time" data-verdict="incomplete">
    <p class="first"><QuestionMarkCircleIcon class="icon" />One thing first</p>
    <p v-for="m in plan.missing" :key="m.field" :data-missing="m.field">
      {{ m.text }}
      <RouterLink v-if="m.field === 'altitude'" :to="{ name: 'kitchen' }" class="link">
        Set it in Kitchen, once for all batches
      </RouterLink>
    </p>
  </section>
</template>

<style scoped>
.ask {
  border-color: var(--color-wait-fill);
}
.first {
  display: flex;
  align-items: center;
  gap: 10px;
  margin: 0 0 6px;
  font-family: var(--font-title);
  font-size: 1.6rem;
  font-weight: 600;
  color: var(--color-wait);
}
.icon {
  width: 34px;
}
p {
  margin: 0 0 8px;
}
.link {
  display: inline-flex;
  align-items: center;
  min-height: 48px;
  font-weight: 700;
  color: var(--color-rim-text);
}
</style>
