<script setup lang="ts">
import { ref } from 'vue'
import { RouterLink } from 'vue-router'
import { useTray, type TrayLoad } from '@/api/tray'
import TrayPlate from './TrayPlate.vue'

/** The morning after: what sealed, and what to do with what did not. */
const { data: loads } = useTray()
const shelved = ref<TrayLoad>()
</script>

<template>
  <div v-if="loads" class="tray" data-tray>
    <h1>Tray</h1>
    <p v-if="shelved" role="status" class="shelved" data-shelved>
      On the shelf, out of {{ shelved.about.headline }}.
      <RouterLink :to="{ name: 'labels', query: { load: shelved.id } }" class="key">Their labels</RouterLink>
    </p>
    <p v-if="!loads.length" class="plate empty">
      No jars are waiting for their seals to be looked at. A load comes here when it is cleared from the
      <RouterLink :to="{ name: 'stove' }">stove</RouterLink>.
    </p>
    <TrayPlate v-for="l in loads" :key="l.id" :load="l" @shelved="shelved = $event" />
  </div>
</template>

<style scoped>
.tray {
  padding-bottom: 24px;
}
h1 {
  margin: 0 0 8px;
  font-size: 1.7rem;
}
.shelved {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: center;
  margin: 0 0 10px;
  font-weight: 600;
  color: var(--color-go);
}
.shelved a {
  display: inline-flex;
  align-items: center;
  text-decoration: none;
}
.empty {
  max-width: 640px;
  line-height: 1.4;
}
</style>
