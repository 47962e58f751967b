<script setup lang="ts">
import { ref } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import type { Day } from '@/api/day'

/** Which day it is, when it is done, and what stands in the way. */
defineProps<{ day: Day; pending: boolean }>()
defineEmits<{ order: []; leave: [left: Day['drops'][number]['left']] }>()
const all = ref(false)
const router = useRouter()
const go = (date: string) => date && router.push({ name: 'day', params: { date } })
</script>

<template>
  <header class="head">
    <div class="which">
      <RouterLink
        class="key step"
        :to="{ name: 'day', params: { date: day.before } }"
        aria-label="The day before"
        data-before
        >‹</RouterLink
      >
      <h1>{{ day.title }}</h1>
      <RouterLink
        class="key step"
        :to="{ name: 'day', params: { date: day.next } }"
        aria-label="The day after"
        data-after
        >›</RouterLink
      >
      <label class="other-day"
        ><span class="heard">Another day</span
        ><input
          type="date"
          class="field"
          :value="day.date"
          data-field="other-day"
          @change="go(($event.target as HTMLInputElement).value)"
      /></label>
    </div>
    <p v-if="day.finish" class="done" :class="{ not: !day.fits }" data-finish>
      <span>{{ day.state === 'over' ? 'Done at' : 'All done by' }}</span> <strong>{{ day.finish }}</strong>
    </p>
    <div v-if="day.finish || day.not" class="words">
      <p v-if="!day.fits" class="stop" role="alert" data-not-fit>
        <span aria-hidden="true">✕</span> Does not fit. {{ day.not }}
      </p>
      <p v-if="day.shift" class="shift" data-shift><span aria-hidden="true">↷</span> {{ day.shift }}</p>
      <p v-for="text in day.unheld" :key="text" class="stop" data-unheld>{{ text }}</p>
      <p v-if="day.better" data-better>
        {{ day.better }}
        <button type="button" class="key" :disabled="pending" data-take-order @click="$emit('order')">
          Take that order
        </button>
      </p>
      <p v-if="day.fits && !day.shift && day.bound" class="quiet" data-bound>{{ day.bound }}</p>
      <p v-if="day.holds.length" data-holds>
        What holds it up: {{ day.holds.join('; ')
        }}<span v-if="!day.fits || day.shift">. {{ day.bound }}</span>
      </p>
    </div>
    <div v-if="day.cold" class="drops" data-drops>
      <div v-for="(d, i) in day.drops.slice(0, all ? undefined : 1)" :key="d.text" class="drop">
        <span
          ><strong>{{ i ? 'Or: ' : '' }}{{ d.text }}</strong
          >, then the rest is done in time.</span
        >
        <button type="button" class="key" :disabled="pending" data-leave @click="$emit('leave', d.left)">
          {{ d.left.length > 1 ? 'Both to the next day' : 'To the next day' }}
        </button>
      </div>
      <p>
        {{ day.cold }}
        <button v-if="day.drops.length > 1" type="button" class="other" @click="all = !all">
          {{ all ? 'Fewer ways' : `${day.drops.length - 1} other ways` }}
        </button>
      </p>
    </div>
  </header>
</template>

<style scoped>
.head {
  display: grid;
  grid-template-columns: auto auto minmax(0, 1fr);
  gap: 6px 26px;
  align-items: center;
}
.which {
  display: flex;
  align-items: center;
  gap: 8px;
}
h1 {
  margin: 0;
  font-size: 1.6rem;
  min-width: 11ch;
  text-align: center;
}
.step {
  display: grid;
  place-items: center;
  width: 48px;
  padding: 0;
  font-size: 1.6rem;
  line-height: 1;
  text-decoration: none;
}
.other-day .field {
  width: 52px;
  padding: 0 12px;
  color: transparent;
}
.done {
  margin: 0;
  line-height: 1.05;
  color: var(--color-go);
}
.done strong {
  display: block;
  font-size: 2.5rem;
}
.done.not {
  color: var(--color-stop);
}
.words p {
  margin: 0 0 2px;
  line-height: 1.3;
}
.stop {
  font-weight: 700;
  color: var(--color-stop);
}
.shift {
  font-weight: 700;
  color: var(--color-wait);
}
.drops {
  grid-column: 1 / -1;
  padding: 6px 14px;
  border: 2px solid var(--color-stop);
  border-radius: 14px;
  background: var(--color-stop-wash);
}
.drop {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
}
.drop > span {
  flex: 1 1 320px;
  line-height: 1.3;
}
.drops p {
  margin: 0;
  line-height: 1.3;
}
.other {
  min-height: 32px;
  padding: 0 8px;
  text-decoration: underline;
  color: var(--color-rim-text);
}
@media (max-width: 760px) {
  .head {
    grid-template-columns: minmax(0, 1fr);
  }
  .which {
    justify-content: space-between;
  }
  h1 {
    font-size: 1.25rem;
    min-width: 0;
  }
  .done strong {
    display: inline;
    font-size: 1.8rem;
  }
  /* At the stove only what is to be done counts. */
  .words p[data-bound],
  .words p[data-holds] {
    display: none;
  }
}
</style>
