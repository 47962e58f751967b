<script setup lang="ts">
import { defineAsyncComponent } from 'vue'
import { RouterLink } from 'vue-router'
import { useMediaQuery } from '@vueuse/core'
import { useKitchen } from '@/api/kitchen'
import { stations } from '@/stations/stations'

const StationMenu = defineAsyncComponent(() => import('./StationMenu.vue'))
defineEmits<{ keys: [] }>()
const { data: kitchen } = useKitchen()
const narrow = useMediaQuery('(max-width: 760px)')
</script>

<template>
  <header class="bar">
    <span class="name">Mellisca</span>
    <StationMenu v-if="narrow" />
    <nav v-else aria-label="Stations">
      <RouterLink
        v-for="s in stations"
        :key="s.name"
        :to="{ name: s.name }"
        class="station"
        :class="{ here: $route.path.startsWith(`/${s.name}`) }"
        >{{ s.title }}</RouterLink
      >
    </nav>
    <span class="where">
      <template v-if="kitchen?.name">{{ kitchen.name }}</template>
      <strong v-if="kitchen?.altitude">{{ kitchen.altitude }}</strong>
      <RouterLink v-else-if="kitchen" :to="{ name: 'kitchen' }">altitude not set</RouterLink>
    </span>
    <button type="button" class="help" aria-label="Keys" @click="$emit('keys')">?</button>
  </header>
</template>

<style scoped>
.bar {
  display: flex;
  align-items: center;
  gap: 20px;
  padding: 0 18px;
  min-height: 58px;
  border-bottom: 2px solid var(--color-rim);
  background: var(--color-plate);
}
.name {
  font-family: var(--font-title);
  font-weight: 700;
  font-size: 1.4rem;
  color: var(--color-rim-text);
}
nav {
  display: flex;
  gap: 4px;
}
.station {
  display: flex;
  align-items: center;
  min-height: 48px;
  padding: 0 16px;
  border-radius: 12px;
  text-decoration: none;
  color: inherit;
  font-weight: 600;
}
.station.here {
  background: var(--color-rim);
  color: var(--color-on-rim);
}
.where {
  margin-left: auto;
  display: flex;
  gap: 12px;
  align-items: baseline;
  min-width: 0;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.help {
  width: 48px;
  height: 48px;
  border-radius: 50%;
  font-weight: 700;
  color: var(--color-rim-text);
}
@media (max-width: 760px) {
  .bar {
    position: relative;
    gap: 6px;
    padding: 0 8px;
  }
  .name,
  .where {
    display: none;
  }
  .help {
    flex: none;
    width: 48px;
    margin-left: auto;
  }
}
</style>
