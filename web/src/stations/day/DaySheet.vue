<script setup lang="ts">
import type { Day, Step } from '@/api/day'
import DayLanes from '@/drawings/DayLanes.vue'

/** The day on paper: lanes over a list with a box to tick. */
defineProps<{ day: Day; number: (s: Step) => number }>()
</script>

<template>
  <article class="sheet print-only" data-sheet>
    <h1>{{ day.title }}</h1>
    <p>
      <template v-if="day.finish">All done by {{ day.finish }}. </template>
      <template v-for="c in day.fields.cooks" :key="c.name"
        >{{ c.name }}: {{ c.from }} to {{ c.to }}.
      </template>
      <strong v-if="!day.fits">Does not fit. {{ day.not }}</strong>
    </p>
    <DayLanes v-if="day.lanes.length" :day="day" />
    <ol class="batches">
      <li v-for="b in day.batches" :key="b.batch + b.part">
        {{ b.headline }}: {{ b.jars }}, done {{ b.done }}
      </li>
    </ol>
    <table>
      <thead>
        <tr>
          <th></th>
          <th>When</th>
          <th>What</th>
          <th>With</th>
          <th>Who, where</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="s in day.steps" :key="s.key">
          <td class="box"></td>
          <td class="when">{{ s.kind === 'lit' ? s.at : s.time }}</td>
          <td>
            <strong>{{ number(s) || '' }} {{ s.title }}</strong>
          </td>
          <td>
            {{ s.with }}
            <span v-if="s.pieces.length"
              >({{ s.pieces.map((p) => `${p.time} ${p.what.toLowerCase()}`).join('; ') }})</span
            >
          </td>
          <td>{{ [s.who, s.where].filter(Boolean).join(', ') }}</td>
        </tr>
      </tbody>
    </table>
    <p class="small">
      Times are plans, not process times: a load's time starts when the water boils hard, and starts over in
      full when the boil is lost. Where this sheet and your current printed guide differ, the guide is right.
    </p>
  </article>
</template>

<style scoped>
.sheet {
  color: #000;
}
h1 {
  margin: 0 0 4px;
  font-size: 1.4rem;
}
p {
  margin: 0 0 6px;
}
.batches {
  margin: 6px 0;
  padding-left: 1.4em;
  list-style: decimal;
}
table {
  width: 100%;
  border-collapse: collapse;
  font-size: 0.8rem;
}
th,
td {
  padding: 3px 6px;
  border-bottom: 1px solid #999;
  text-align: left;
  vertical-align: top;
}
tr {
  break-inside: avoid;
}
.when {
  white-space: nowrap;
}
.box {
  width: 16px;
  height: 16px;
  border: 2px solid #000;
}
.small {
  margin-top: 8px;
  font-size: 0.8rem;
}
</style>
