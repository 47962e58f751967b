<script setup lang="ts">
import { BellAlertIcon } from '@heroicons/vue/24/solid'
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import { useStove } from '@/api/stove'
import { useAlarm } from './alarm'

/** The live clocks, in sight at every station but the stove; what rings is heard here too. */
const { stove, silent, hear } = useStove(false)
const alarm = computed(() => stove.value?.alarms[0])
const rows = computed(() => [
  ...(stove.value?.loads ?? [])
    .filter((l) => l.phase !== 'cooling')
    .map((l) => ({ id: l.id, name: l.about.canner, text: l.left || l.phaseWords, bad: l.phase === 'lost' })),
  // Those of tomorrow are on the stove's own page.
  ...(stove.value?.clocks ?? [])
    .filter((c) => c.soon)
    .map((c) => ({ id: c.id, name: c.name, text: c.left, bad: false })),
])
useAlarm(computed(() => alarm.value?.text ?? ''))
</script>

<template>
  <aside v-if="rows.length" class="strip no-print" :class="{ rings: alarm }" aria-label="Clocks" data-strip>
    <template v-if="alarm">
      <BellAlertIcon class="icon" />
      <strong role="alert">{{ alarm.text }}</strong>
      <button type="button" class="key" data-hear @click="hear(alarm)">I heard it</button>
    </template>
    <RouterLink :to="{ name: 'stove' }" class="clocks">
      <span v-for="r in rows" :key="r.id" :class="{ bad: r.bad }">
        {{ r.name }} <strong>{{ r.text }}</strong>
      </span>
      <em v-if="silent">no word from the kitchen’s server: look at the pots</em>
    </RouterLink>
  </aside>
</template>

<style scoped>
.strip {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 16px;
  padding: 2px 18px;
  background: var(--color-wash);
  border-bottom: 2px solid var(--color-rim);
}
.rings {
  background: var(--color-wait-fill);
  color: #14202e;
}
.icon {
  width: 26px;
  flex: none;
}
.clocks {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
  align-items: center;
  min-height: 48px;
  color: inherit;
  text-decoration: none;
}
.clocks strong {
  font-size: 1.25rem;
}
.bad {
  color: var(--color-stop);
}
</style>
