<script setup lang="ts">
import { ref } from 'vue'
import type { LoadNow, Tell } from '@/api/stove'
import HeatCurve from '@/drawings/HeatCurve.vue'

/** The one thing to do with a load, and what to watch for. */
const props = defineProps<{ load: LoadNow; confirmMs?: number }>()
const emit = defineEmits<{ confirm: [ms: number]; tell: [what: Tell] }>()

const altitude = ref('')
const minute = 60_000
const chosen = () => Math.min(props.confirmMs ?? props.load.readingMs, props.load.readingMs)
const less = (by: number) =>
  emit(
    'confirm',
    Math.max(0, Math.min(props.load.readingMs, Math.floor(chosen() / minute) * minute - by * minute)),
  )
</script>

<template>
  <section class="plate now" aria-label="Now" aria-live="polite">
    <h2>{{ load.about.headline }}</h2>
    <p class="do" data-do>{{ load.next.do }}</p>
    <p v-if="load.short" class="bad" data-short>{{ load.short }}</p>
    <p v-if="load.corrected" class="quiet" data-corrected>
      Something that was told was corrected: see the list.
    </p>
    <div v-if="load.phase === 'held'" class="since" data-held>
      <p>{{ load.reading }} It boiled hard for</p>
      <div class="stepper">
        <button type="button" class="key" aria-label="A minute less" @click="less(1)">−</button>
        <strong data-since>{{ Math.floor(chosen() / minute) }} min</strong>
        <button type="button" class="key" aria-label="A minute more" @click="less(-1)">+</button>
      </div>
    </div>
    <div v-if="load.proposal.kind" class="proposal" data-proposal>
      <p>{{ load.proposal.text }}</p>
      <button
        type="button"
        class="key"
        @click="emit('tell', { kind: load.proposal.kind, agoMs: load.proposal.agoMs, by: 'the thermometer' })"
      >
        Yes
      </button>
    </div>
    <div v-if="load.doubt" class="doubt" data-doubt>
      <p class="bad">{{ load.doubt }}</p>
      <form @submit.prevent="emit('tell', { kind: 'altitude', altitude })">
        <label
          >The altitude here
          <input v-model="altitude" class="field" placeholder="3,480 ft" data-field="again"
        /></label>
        <button type="submit" class="key">This is it</button>
      </form>
    </div>
    <p v-if="load.forecast" data-forecast>{{ load.forecast }}</p>
    <p v-if="load.ahead" data-ahead>{{ load.ahead }}</p>
    <ul v-if="load.next.watch.length">
      <li v-for="w in load.next.watch" :key="w">{{ w }}</li>
    </ul>
    <template v-if="load.thermometer">
      <p>
        <strong>{{ load.thermometer.text }}</strong>
      </p>
      <HeatCurve v-if="load.thermometer.points.length > 2" :thermometer="load.thermometer" />
    </template>
    <p class="quiet">
      {{ load.minutes }} min at {{ load.about.altitude }}, {{ load.about.own ? 'own source' : 'tested' }}:
      {{ load.about.source }}
    </p>
  </section>
</template>

<style scoped>
.now h2::first-letter {
  text-transform: uppercase;
}
p {
  margin: 0 0 6px;
  line-height: 1.35;
}
.do {
  font-size: 2.2rem;
  font-weight: 700;
  line-height: 1.15;
}
@media (max-width: 760px) {
  .do {
    font-size: 1.75rem;
  }
}
.bad {
  font-weight: 700;
  color: var(--color-stop);
}
ul {
  margin: 0 0 6px;
  padding-left: 20px;
  list-style: disc;
  line-height: 1.35;
}
.since,
.proposal,
.doubt {
  margin: 6px 0;
  padding: 8px 12px;
  border-radius: 12px;
  background: var(--color-wash);
}
.stepper,
form {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
}
.stepper .key {
  width: 64px;
  min-height: 64px;
  font-size: 1.6rem;
}
.stepper strong {
  font-size: 1.8rem;
}
.proposal .key {
  min-height: 64px;
  min-width: 110px;
}
.quiet {
  font-size: 0.9rem;
}
</style>
