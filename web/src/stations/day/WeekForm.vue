<script setup lang="ts">
import { reactive } from 'vue'
import { useSeasonChanges, type Season, type WeekTime } from '@/api/season'
import { useProblems } from '@/parts/problems'

/** When there is time in a usual week. */
const props = defineProps<{ season: Season }>()
const { setWeek } = useSeasonChanges()
const { problems, trying } = useProblems()
const week = reactive(props.season.week.map((d) => ({ ...d })))
const save = () =>
  trying(() => setWeek.mutateAsync(week.map(({ weekday, from, to }): WeekTime => ({ weekday, from, to }))))
</script>

<template>
  <form class="plate" aria-label="When there is time" data-week @submit.prevent="save">
    <h2>When there is time</h2>
    <p v-if="season.guess" class="hint">
      Our own guess, until you say otherwise. Empty fields: no time that day.
    </p>
    <p v-for="(text, field) in problems" :key="field" class="problem" role="alert" :data-problem="field">
      {{ text }}
    </p>
    <div v-for="(d, i) in week" :key="d.weekday" class="row">
      <span :id="`weekday-${d.weekday}`">{{ d.name }}</span>
      <input
        v-model="d.from"
        class="field"
        size="6"
        placeholder="none"
        :aria-label="`${d.name} from`"
        :data-field="`week-${i}-from`"
      />
      <span aria-hidden="true">to</span>
      <input
        v-model="d.to"
        class="field"
        size="6"
        placeholder="none"
        :aria-label="`${d.name} to`"
        :data-field="`week-${i}-to`"
      />
    </div>
    <div class="keys"><button type="submit" class="key key-main" data-keep-week>Keep the week</button></div>
  </form>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 100px auto 100px;
  gap: 8px;
  align-items: center;
  padding: 2px 0;
}
.field {
  width: 100%;
}
.keys {
  display: flex;
  justify-content: flex-end;
  margin-top: 10px;
}
</style>
