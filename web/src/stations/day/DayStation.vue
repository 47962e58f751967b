<script setup lang="ts">
import { PrinterIcon } from '@heroicons/vue/24/outline'
import { useMediaQuery } from '@vueuse/core'
import { computed, nextTick, ref } from 'vue'
import { RouterLink, useRoute, useRouter } from 'vue-router'
import { fillLoad, useDay, useDayChanges, type Day, type Step } from '@/api/day'
import { Problem } from '@/api/client'
import DayLanes from '@/drawings/DayLanes.vue'
import DayBatches from './DayBatches.vue'
import DayHead from './DayHead.vue'
import DayNav from './DayNav.vue'
import DaySheet from './DaySheet.vue'
import NowNextThen from './NowNextThen.vue'
import StepRow from './StepRow.vue'
import WhoForm from './WhoForm.vue'

/** The canning day on the clock: lanes, steps, and what is to be done next. */
const route = useRoute()
const router = useRouter()
const date = computed(() => (typeof route.params.date === 'string' && route.params.date) || 'today')
const { data: day, error } = useDay(date)
const { tell, lock, order, move } = useDayChanges(date)
const narrow = useMediaQuery('(max-width: 760px)')
const picked = ref<string>()
const failed = ref('')
const showDone = ref(false)
const doneCount = computed(() =>
  day.value?.state === 'running' ? day.value.steps.filter((s) => s.state === 'done').length : 0,
)
const pending = computed(
  () => tell.isPending.value || lock.isPending.value || order.isPending.value || move.isPending.value,
)
const number = (s: Step) =>
  (day.value?.batches.findIndex((b) => s.key.startsWith(`${b.batch}/${b.part}/`)) ?? -1) + 1

async function trying(act: () => Promise<unknown>) {
  failed.value = ''
  try {
    await act()
  } catch (e) {
    failed.value =
      e instanceof Problem ? Object.values(e.fields).join(' ') || e.message : 'That did not work.'
  }
}
const hob = (batch: string, load: number, canner: string) =>
  trying(async () => {
    await fillLoad(batch, load, canner)
    void router.push({ name: 'stove' })
  })
function main() {
  const m = day.value?.main
  if (!m) return
  if (m.kind === 'hob') void hob(m.batch, m.number, m.canner)
  else void trying(() => tell.mutateAsync({ step: m.step, kind: m.kind as 'begun' | 'done', next: m.next }))
}
async function pick(key: string) {
  picked.value = picked.value === key ? undefined : key
  await nextTick()
  document.querySelector(`[data-step="${CSS.escape(key)}"]`)?.scrollIntoView({ block: 'nearest' })
}
const leave = (left: Day['drops'][number]['left']) =>
  trying(async () => {
    for (const l of left)
      if (day.value)
        await move.mutateAsync({ batch: l.batch, part: l.part, to: day.value.next, load: l.from })
  })
const print = () => window.print()
</script>

<template>
  <div class="day no-print" data-day>
    <DayNav />
    <p v-if="error && !day" class="plate problem" role="alert">{{ error.message }}</p>
    <template v-if="day">
      <DayHead
        :day="day"
        :pending="pending"
        @order="trying(() => order.mutateAsync(undefined))"
        @leave="leave"
      />
      <p v-if="failed" class="problem" role="alert" data-problem>{{ failed }}</p>
      <p v-if="!day.batches.length" class="plate" data-empty>
        Nothing is made on this day yet. Say who is there, and put saved batches on it: their steps are laid
        out on hands, canners and burners so that all is done as early as can be.
        <template v-if="day.planned.length"
          >Planned:
          <RouterLink
            v-for="p in day.planned"
            :key="p.date"
            class="planned"
            :to="{ name: 'day', params: { date: p.date } }"
            >{{ p.title }}</RouterLink
          ></template
        >
      </p>
      <NowNextThen
        v-if="narrow && day.steps.length"
        :day="day"
        :pending="pending"
        :number="number"
        @tell="(step, kind) => trying(() => tell.mutateAsync({ step, kind }))"
        @hob="hob"
      />
      <section v-if="day.batches.length && !narrow" class="plate lanes" aria-label="Lanes">
        <DayLanes :day="day" :picked="picked" @pick="pick" />
      </section>
      <div class="columns">
        <section v-if="day.steps.length" class="plate steps" aria-label="Steps">
          <h2>{{ narrow ? 'The whole day' : 'Step by step' }}</h2>
          <button v-if="doneCount" type="button" class="over" data-show-done @click="showDone = !showDone">
            {{ showDone ? 'Hide what is done' : `Show what is done (${doneCount})` }}
          </button>
          <ol>
            <StepRow
              v-for="s in day.steps.filter(
                (s) => showDone || !doneCount || s.state !== 'done' || s.key === picked,
              )"
              :key="s.key"
              :step="s"
              :number="number(s)"
              :picked="picked === s.key"
              :pending="pending"
              @pick="pick(s.key)"
              @tell="(kind) => trying(() => tell.mutateAsync({ step: s.key, kind }))"
              @lock="(at) => trying(() => lock.mutateAsync({ step: s.key, at }))"
              @hob="hob(s.batch, s.number, s.canner)"
            />
          </ol>
        </section>
        <div class="stack" :class="{ alone: !day.steps.length }">
          <DayBatches :day="day" />
          <WhoForm :day="day" />
        </div>
      </div>
      <div v-if="day.steps.length || day.main" class="foot">
        <a v-if="day.steps.length" class="key ics" :href="`/api/days/${day.date}/day.ics`" download data-ics
          >For a calendar</a
        >
        <button
          v-if="day.steps.length"
          type="button"
          class="key"
          aria-label="Print the day"
          data-print
          @click="print"
        >
          <PrinterIcon class="icon" />
        </button>
        <button
          v-if="day.main"
          type="button"
          class="key key-main do"
          :disabled="pending"
          data-main
          @click="main"
        >
          {{ day.main.text }}
        </button>
      </div>
    </template>
  </div>
  <DaySheet v-if="day" :day="day" :number="number" />
</template>

<style scoped src="./day.css"></style>
