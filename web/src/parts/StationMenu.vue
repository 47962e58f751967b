<script setup lang="ts">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import { computed } from 'vue'
import { RouterLink, useRoute } from 'vue-router'
import { stations } from '@/stations/stations'

/** On a phone: where one is, and with a tap all stations as big keys. */
const route = useRoute()
const here = computed(() => stations.find((s) => route.path.startsWith(`/${s.name}`))?.title ?? 'Mellisca')
</script>

<template>
  <Popover v-slot="{ close }" class="menu">
    <PopoverButton data-stations>
      <span class="here">{{ here }} <span aria-hidden="true">▾</span></span
      ><span class="heard">, all stations</span>
    </PopoverButton>
    <PopoverPanel class="panel plate">
      <nav aria-label="All stations">
        <RouterLink
          v-for="s in stations"
          :key="s.name"
          :to="{ name: s.name }"
          class="key"
          :class="{ 'key-main': $route.path.startsWith(`/${s.name}`) }"
          :data-station="s.name"
          @click="close()"
          >{{ s.title }}</RouterLink
        >
      </nav>
    </PopoverPanel>
  </Popover>
</template>

<style scoped>
.menu {
  flex: 1;
}
.here {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 52px;
  padding: 0 10px;
  font-family: var(--font-title);
  font-size: 1.4rem;
  font-weight: 700;
  color: var(--color-rim-text);
}
.panel {
  position: absolute;
  inset: 58px 8px auto 8px;
  z-index: 20;
}
nav {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
.key {
  display: grid;
  place-items: center;
  min-height: 64px;
  font-size: 1.2rem;
  text-decoration: none;
}
</style>
