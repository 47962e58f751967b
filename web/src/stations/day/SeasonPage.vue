<script setup lang="ts">
import { ref } from 'vue'
import { RouterLink } from 'vue-router'
import { useSeason, useSeasonChanges, type AheadDay } from '@/api/season'
import { tint } from '@/drawings/tints'
import { useProblems } from '@/parts/problems'
import DayNav from './DayNav.vue'
import WeekForm from './WeekForm.vue'

/** Two weeks ahead: which lot goes on which evening or weekend, and which will not wait. */
const { data: season } = useSeason()
const { setDay, plan } = useSeasonChanges()
const { problems, trying } = useProblems()
const open = ref<string>()
const said = ref('')
function keep(d: AheadDay, e: Event) {
  const form = new FormData(e.target as HTMLFormElement)
  const text = (name: string) => String(form.get(name) ?? '')
  void trying(async () => {
    await setDay.mutateAsync({ date: d.date, from: text('from'), to: text('to') })
    open.value = undefined
  })
}
const put = (d: AheadDay, t: AheadDay['turns'][number]) =>
  trying(async () => {
    await plan.mutateAsync({ lot: t.lot, date: d.date, loads: t.loads, all: t.all })
    said.value = `${t.name}: saved as a batch, and put on ${d.title}.`
  })
</script>

<template>
  <div v-if="season" class="page" data-season>
    <DayNav />
    <h1 class="heard">Days ahead</h1>
    <p role="status" class="said">{{ said }}</p>
    <p v-for="(text, field) in problems" :key="field" class="problem" role="alert" :data-problem="field">
      {{ text }}
    </p>
    <div class="columns">
      <section class="plate" aria-label="Two weeks">
        <ul>
          <li
            v-for="d in season.days"
            :key="d.date"
            class="day"
            :class="{ none: !d.time }"
            :data-ahead="d.date"
          >
            <div class="line">
              <RouterLink class="title" :to="{ name: 'day', params: { date: d.date } }">{{
                d.title
              }}</RouterLink>
              <span class="time">{{ d.time || 'no time' }}</span>
              <span class="bar" role="img" :aria-label="`${Math.round(d.part * 100)} % of the time is taken`"
                ><span :style="{ width: `${d.part * 100}%` }"></span
              ></span>
              <button
                type="button"
                class="key"
                :aria-expanded="open === d.date"
                :aria-label="`Other hours on ${d.title}`"
                @click="open = open === d.date ? undefined : d.date"
              >
                Hours
              </button>
            </div>
            <p v-if="d.planned" class="planned">Planned: {{ d.planned }}</p>
            <div v-for="t in d.turns" :key="t.lot" class="turn" :data-turn="t.lot">
              <span class="dot" :style="{ background: tint(t.kind) }" aria-hidden="true"></span>
              <span
                ><strong>{{ t.name }}</strong
                ><template v-if="!t.all">, a part</template> <span class="what">{{ t.what }}</span></span
              >
              <button
                type="button"
                class="key"
                :disabled="plan.isPending.value"
                data-plan-turn
                @click="put(d, t)"
              >
                Plan it
              </button>
            </div>
            <form v-if="open === d.date" class="hours" @submit.prevent="keep(d, $event)">
              <label
                >from<input
                  name="from"
                  class="field"
                  size="6"
                  :value="d.from"
                  placeholder="no time"
                  data-field="hours-from"
              /></label>
              <label
                >to<input
                  name="to"
                  class="field"
                  size="6"
                  :value="d.to"
                  placeholder="no time"
                  data-field="hours-to"
              /></label>
              <button type="submit" class="key key-main" data-keep-hours>Keep</button>
              <button
                v-if="d.own"
                type="button"
                class="key"
                @click="trying(() => setDay.mutateAsync({ date: d.date, from: '', to: '', usual: true }))"
              >
                As every week
              </button>
            </form>
          </li>
        </ul>
      </section>
      <div class="stack">
        <section class="plate" aria-label="Lots" data-waiting>
          <h2>What waits</h2>
          <p v-if="!season.lots.length">
            No fruit waits. What comes in, and how ripe it is, is told in Fruit.
          </p>
          <ul>
            <li v-for="l in season.lots" :key="l.lot" class="lot">
              <strong>{{ l.name }}</strong>
              <span>{{ l.fit }}</span>
              <span v-if="l.what" class="what">{{ l.what }}</span>
              <span v-if="l.waits" class="quiet">{{ l.waits }}</span>
              <span v-if="l.warn" class="stop" role="alert" data-warn
                ><span aria-hidden="true">✕</span> {{ l.warn }}</span
              >
            </li>
          </ul>
          <p class="hint">{{ season.explain }}</p>
        </section>
        <WeekForm :key="JSON.stringify(season.week)" :season="season" />
      </div>
    </div>
  </div>
</template>

<style scoped src="../shelf/page.css"></style>
<style scoped src="./season.css"></style>
