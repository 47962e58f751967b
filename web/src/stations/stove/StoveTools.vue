<script setup lang="ts">
import { ring, soundOn } from '@/parts/alarm'

/** The sound, tried before work, and whether the screen stays awake. */
defineProps<{ awake: string }>()
</script>

<template>
  <div class="tools">
    <button type="button" class="key" data-sound @click="ring()">Try the sound</button>
    <label class="choice-row"><input v-model="soundOn" type="checkbox" /> sound here</label>
    <span class="quiet" data-awake>{{ awake }}</span>
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
  align-items: center;
  line-height: 1.2;
}
</style>
