<script setup lang="ts">
import { ref } from 'vue'
import { useSetSeason, type Almanac, type PickedSeason } from '@/api/almanac'
import SeasonYear from '@/drawings/SeasonYear.vue'

/** When each fruit is picked here, and in which months jars were put up of it. */
defineProps<{ almanac: Almanac }>()
const set = useSetSeason()
const open = ref<string>()
const months = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
]
function say(s: PickedSeason, which: 'from' | 'to', e: Event) {
  const month = Number((e.target as HTMLSelectElement).value)
  const next = { from: s.from, to: s.to, [which]: month }
  if (month === 0) next.from = next.to = 0
  else if (next.from === 0 || next.to === 0) next.from = next.to = month
  set.mutate({ fruit: s.fruit, ...next })
}
</script>

<template>
  <section class="plate" aria-label="Calendar of seasons" data-seasons>
    <h2>When it is picked here</h2>
    <div class="row head" aria-hidden="true">
      <span></span>
      <span class="months"
        ><span v-for="m in months" :key="m">{{ m.slice(0, 1) }}</span></span
      >
    </div>
    <ul>
      <li v-for="s in almanac.seasons" :key="s.fruit" :data-season-of="s.fruit">
        <button
          type="button"
          class="row"
          :aria-expanded="open === s.fruit"
          @click="open = open === s.fruit ? undefined : s.fruit"
        >
          <span class="name">{{ s.name }}<span v-if="s.own" class="own"> yours</span></span>
          <SeasonYear :season="s" :month="almanac.month" />
        </button>
        <div v-if="open === s.fruit" class="edit">
          <label
            >from<select
              class="field"
              :value="s.from"
              :data-field="`season-${s.fruit}-from`"
              @change="say(s, 'from', $event)"
            >
              <option :value="0">all year</option>
              <option v-for="(m, i) in months" :key="m" :value="i + 1">{{ m }}</option>
            </select></label
          >
          <label
            >to<select
              class="field"
              :value="s.to"
              :data-field="`season-${s.fruit}-to`"
              @change="say(s, 'to', $event)"
            >
              <option :value="0">all year</option>
              <option v-for="(m, i) in months" :key="m" :value="i + 1">{{ m }}</option>
            </select></label
          >
          <button
            v-if="s.own"
            type="button"
            class="key"
            @click="set.mutate({ fruit: s.fruit, from: 0, to: 0, usual: true })"
          >
            As usual
          </button>
        </div>
      </li>
    </ul>
    <p class="hint">
      The months are those of the northern half of the world until you say yours; press a fruit to change
      them. Numbers are jars that you put up in that month, over all years.
    </p>
  </section>
</template>

<style scoped>
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
.row {
  display: grid;
  grid-template-columns: 8.4em minmax(0, 1fr);
  gap: 8px;
  align-items: center;
  width: 100%;
  min-height: 32px;
  text-align: left;
}
li .row {
  min-height: 48px;
}
@media (pointer: fine) {
  li .row {
    min-height: 34px;
  }
}
.months {
  display: grid;
  grid-template-columns: repeat(12, 1fr);
  text-align: center;
  color: var(--color-quiet);
}
.name::first-letter {
  text-transform: uppercase;
}
.own {
  color: var(--color-quiet);
}
.edit {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: end;
  padding: 4px 0 10px;
}
.edit .field {
  display: block;
}
</style>
