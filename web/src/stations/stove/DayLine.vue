<script setup lang="ts">
import { ref } from 'vue'
import { RouterLink } from 'vue-router'
import { useDay } from '@/api/day'

/** What the day's plan wants next, beside the stove. */
const { data: day } = useDay(ref('today'))
</script>

<template>
  <RouterLink v-if="day?.main" :to="{ name: 'day' }" class="line" data-day-line>
    <strong>{{ day.main.text }}</strong>
    <span v-if="day.shift">{{ day.shift }}</span>
    <span v-else>by the day, all done by {{ day.finish }}</span>
  </RouterLink>
</template>

<style scoped>
.line {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 14px;
  min-height: 64px;
  margin-bottom: 8px;
  padding: 4px 16px;
  border: 2px dashed var(--color-rim);
  border-radius: 14px;
  color: inherit;
  font-size: 1.15rem;
  text-decoration: none;
}
</style>
