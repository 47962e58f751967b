<script setup lang="ts">
import { defineAsyncComponent, ref } from 'vue'
import type { BatchLine } from '@/api/client'

/** The key to the saved batches, and their list over the page. */
defineProps<{ batches: BatchLine[]; open?: string }>()
const emit = defineEmits<{ fresh: [] }>()
const SavedDialog = defineAsyncComponent(() => import('./SavedDialog.vue'))
const shown = ref(false)

function fresh() {
  shown.value = false
  emit('fresh')
}
</script>

<template>
  <button type="button" class="key" data-saved @click="shown = true">
    Saved <span class="count">{{ batches.length }}</span>
  </button>
  <button v-if="open" type="button" class="key" @click="fresh">New</button>
  <SavedDialog v-if="shown" :batches="batches" :open="open" @close="shown = false" />
</template>

<style scoped>
.count {
  font-weight: 400;
  margin-left: 4px;
}
</style>
