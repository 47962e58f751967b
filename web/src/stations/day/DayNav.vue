<script setup lang="ts">
import { RouterLink } from 'vue-router'

/** The pages of the day. */
const pages = [
  { name: 'day', title: 'The day' },
  { name: 'season', title: 'Days ahead' },
  { name: 'step-minutes', title: 'How long things take' },
] as const
</script>

<template>
  <nav aria-label="Pages of the day" class="no-print">
    <RouterLink
      v-for="p in pages"
      :key="p.name"
      :to="{ name: p.name }"
      :class="{ here: $route.name === p.name }"
      :data-page="p.name"
      >{{ p.title }}</RouterLink
    >
  </nav>
</template>

<style scoped src="../pages.css"></style>
