<script setup lang="ts">
import { InformationCircleIcon } from '@heroicons/vue/24/outline'
import type { Schemas } from '@/api/client'

defineProps<{ cautions: Schemas['CodeText'][] }>()
</script>

<template>
  <section v-if="cautions.length" class="plate" aria-label="Good to know">
    <h2>Good to know</h2>
    <ul>
      <li v-for="c in cautions" :key="c.code" :data-caution="c.code">
        <InformationCircleIcon class="icon" /><span>{{ c.text }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  margin: 0;
  padding: 0;
  list-style: none;
  line-height: 1.36;
}
li {
  display: flex;
  gap: 8px;
  margin-bottom: 5px;
}
.icon {
  width: 22px;
  height: 22px;
  flex: none;
  margin-top: 1px;
  color: var(--color-wait);
}
</style>
