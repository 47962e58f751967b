<script setup lang="ts">
import { useSetMinutes, useStepMinutes } from '@/api/day'
import { useProblems } from '@/parts/problems'
import DayNav from './DayNav.vue'

/** How long steps take: our own guesses, until the cook says otherwise or closed batches tell. */
const { data: all } = useStepMinutes()
const set = useSetMinutes()
const { problems, trying } = useProblems()
function say(step: string, e: Event) {
  const typed = (e.target as HTMLInputElement).value.trim()
  void trying(() => set.mutateAsync({ step, minutes: Number(typed === '' ? 0 : typed) }))
}
</script>

<template>
  <div class="page" data-minutes>
    <DayNav />
    <h1>How long things take</h1>
    <p class="lead">
      Days are planned with these minutes. Where your closed batches told how long getting ready, cooking or
      filling took, that comes first; the time in the canner is always the tested one of the batch. Empty a
      field to go back to our own guess.
    </p>
    <p v-for="(text, field) in problems" :key="field" class="problem" role="alert" :data-problem="field">
      {{ text }}
    </p>
    <div class="plate">
      <table v-if="all">
        <thead>
          <tr>
            <th>Step</th>
            <th>Minutes</th>
            <th>Our guess</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="m in all" :key="m.step" :data-step-minutes="m.step">
            <td :id="`step-${m.step}`" :class="{ part: /^(of that|and how)/.test(m.name) }">{{ m.name }}</td>
            <td>
              <input
                class="field"
                type="number"
                min="0"
                max="1440"
                :value="m.minutes"
                :aria-labelledby="`step-${m.step}`"
                :data-field="`minutes-${m.step}`"
                @change="say(m.step, $event)"
              />
            </td>
            <td class="quiet">{{ m.own ? m.usual : 'this one' }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </div>
</template>

<style scoped src="../shelf/page.css"></style>
<style scoped>
.plate {
  max-width: 720px;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  text-align: left;
}
td {
  padding: 3px 8px 3px 0;
  border-top: 1px solid var(--color-line);
}
.part {
  padding-left: 24px;
}
.field {
  width: 110px;
}
</style>
