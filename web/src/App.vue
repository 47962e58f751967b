<script setup lang="ts">
import { defineAsyncComponent, ref } from 'vue'
import { RouterView } from 'vue-router'
import ClockStrip from '@/parts/ClockStrip.vue'
import StationBar from '@/parts/StationBar.vue'
import { useLetters } from '@/parts/letters'
import { useScheme } from '@/parts/scheme'

const KeyList = defineAsyncComponent(() => import('@/parts/KeyList.vue'))
const keysShown = ref(false)
useScheme()
useLetters(() => (keysShown.value = true))
</script>

<template>
  <a class="skip no-print" href="#station">To the station</a>
  <StationBar class="no-print" @keys="keysShown = true" />
  <ClockStrip v-if="$route.name !== 'stove'" />
  <main id="station" tabindex="-1">
    <RouterView />
  </main>
  <KeyList v-if="keysShown" @close="keysShown = false" />
</template>

<style scoped>
.skip {
  position: absolute;
  left: -999px;
}
.skip:focus {
  left: 8px;
  top: 8px;
  z-index: 20;
  padding: 12px;
  background: var(--color-plate);
}
main {
  padding: 14px 18px 0;
  max-width: 1500px;
  margin: 0 auto;
  outline: none;
}
@media (max-width: 640px) {
  main {
    padding: 10px 10px 0;
  }
}
</style>
