<script setup lang="ts">
import { computed, ref } from 'vue'
import { RouterLink } from 'vue-router'
import { useBench, useBenchChanges, type BenchEntry } from '@/api/wants'
import ShelfNav from './ShelfNav.vue'

/** The village show: own jars ranked by what judges look at, as the cook sees them. */
const thisYear = new Date().getFullYear()
const year = ref(thisYear)
const { data: bench } = useBench(year)
const { mark, off } = useBenchChanges(year)
const years = computed(() => [...new Set([thisYear, ...(bench.value?.years ?? [])])].sort((a, b) => b - a))

function say(e: BenchEntry, change: { criterion?: string; mark?: number; place?: number; note?: string }) {
  const marks = Object.fromEntries(e.marks.filter((m) => m.own).map((m) => [m.criterion, m.mark]))
  if (change.criterion && change.mark !== undefined) marks[change.criterion] = change.mark
  mark.mutate({
    jar: e.jar.id,
    fields: { marks, place: change.place ?? e.place, note: change.note ?? e.note },
  })
}
const choices = Array.from({ length: 11 }, (_, n) => 10 - n)
const value = (e: Event) => (e.target as HTMLInputElement | HTMLSelectElement).value
</script>

<template>
  <div v-if="bench" class="page" data-bench>
    <ShelfNav />
    <header class="keys">
      <h1>For the show of {{ year }}</h1>
      <label
        ><span class="heard">Year</span>
        <select v-model="year" class="field">
          <option v-for="y in years" :key="y" :value="y">{{ y }}</option>
        </select></label
      >
    </header>
    <p class="lead">
      What judges look at, marked by you from 0 to 10. What the seal check told of stands there already; the
      ranking is your own opinion, and is kept year by year.
    </p>
    <p v-if="!bench.entries.length" class="plate">
      No jar is on the bench. Open a jar of the <RouterLink :to="{ name: 'jars' }">shelf</RouterLink> and put
      it there.
    </p>
    <ol>
      <li v-for="e in bench.entries" :key="e.jar.id" class="plate" :data-entry="e.jar.id">
        <p class="rank">{{ e.rank }}</p>
        <div class="what">
          <p>
            <strong>{{ e.jar.what }}</strong>
            <span class="quiet">{{ e.jar.size }}, {{ e.jar.canned }}, jar {{ e.jar.id }}</span>
          </p>
          <div class="marks">
            <label v-for="m in e.marks" :key="m.criterion" :class="{ own: m.own }"
              >{{ m.text }}
              <select
                class="field"
                :value="m.mark"
                :data-mark="m.criterion"
                @change="say(e, { criterion: m.criterion, mark: Number(value($event)) })"
              >
                <option v-if="m.mark < 0" :value="-1" disabled>–</option>
                <option v-for="n in choices" :key="n" :value="n">{{ n }}</option>
              </select></label
            >
          </div>
          <label class="labelled"
            ><span>Note</span
            ><input class="field" :value="e.note" maxlength="300" @change="say(e, { note: value($event) })"
          /></label>
        </div>
        <div class="sum">
          <p class="big">{{ e.sum }}</p>
          <button
            type="button"
            class="key"
            :disabled="e.rank === 1"
            data-up
            @click="say(e, { place: e.rank - 1 })"
          >
            Before
          </button>
          <button type="button" class="key" :disabled="!e.place" @click="say(e, { place: 0 })">
            By marks
          </button>
          <button type="button" class="key" @click="off.mutate(e.jar.id)">Off</button>
        </div>
      </li>
    </ol>
  </div>
</template>

<style scoped src="./page.css"></style>
<style scoped>
ol {
  display: grid;
  gap: 12px;
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  gap: 8px 18px;
  align-items: start;
}
.rank {
  font-family: var(--font-title);
  font-size: 2.4rem;
  font-weight: 700;
  line-height: 1;
}
strong {
  margin-right: 10px;
}
strong::first-letter {
  text-transform: uppercase;
}
.marks {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 6px 12px;
  margin-bottom: 6px;
}
.marks label {
  line-height: 1.25;
}
.marks .field {
  display: block;
  width: 84px;
}
.own .field {
  font-weight: 700;
}
.sum {
  display: grid;
  gap: 6px;
  justify-items: end;
}
@media (max-width: 760px) {
  li {
    grid-template-columns: auto minmax(0, 1fr);
  }
  .sum {
    grid-column: 1 / -1;
    display: flex;
    flex-wrap: wrap;
    align-items: center;
  }
}
</style>
