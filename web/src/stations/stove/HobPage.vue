<script setup lang="ts">
import { BellAlertIcon } from '@heroicons/vue/24/solid'
import { useEventListener, useTimeoutFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import type { Hob, LoadNow, Tell } from '@/api/stove'
import PotClock from '@/drawings/PotClock.vue'
import { useAlarm } from '@/parts/alarm'
import { useAwake } from '@/parts/awake'
import LoadNowPlate from './LoadNowPlate.vue'
import MoreDialog from './MoreDialog.vue'
import SaidDialog from './SaidDialog.vue'
import SideClocks from './SideClocks.vue'
import StoveTools from './StoveTools.vue'

/** The hob from above, the one thing to do now, and what comes next. */
const props = defineProps<{ hob: Hob; title: string }>()
const { stove, silent, problem, tell, hear } = props.hob

const picked = ref('')
/** The pot that was tapped, or else the one that wants something. */
const load = computed<LoadNow | undefined>(() => {
  const all = stove.value?.loads ?? []
  const urgent = ['time-up', 'held', 'lost', 'resting', 'filling', 'loaded', 'heating', 'boiling', 'cooling']
  return (
    all.find((l) => l.id === picked.value) ??
    [...all].sort((a, b) => urgent.indexOf(a.phase) - urgent.indexOf(b.phase))[0]
  )
})
const alarm = computed(() => stove.value?.alarms[0])
useAlarm(computed(() => alarm.value?.text ?? ''))
const awake = useAwake(computed(() => !!stove.value?.loads.length))

const more = ref(false)
const said = ref(false)
const confirmMs = ref<number>()

const does = computed<Tell | undefined>(() => {
  const l = load.value
  if (!l?.next.kind) return undefined
  const held = { sinceMs: Math.min(confirmMs.value ?? l.readingMs, l.readingMs) }
  return { kind: l.next.kind, what: l.next.what, ...(l.next.kind === 'confirmed' ? held : {}) }
})
/** The key means something else now: a second tap of a wet finger must not tell that. */
const settling = ref(false)
const { start: settle } = useTimeoutFn(() => (settling.value = false), 600, { immediate: false })
watch(
  () => `${load.value?.id} ${load.value?.next.kind} ${load.value?.next.what}`,
  () => {
    settling.value = true
    settle()
  },
)
async function main() {
  if (settling.value) return
  if (load.value && does.value) await tell(load.value, does.value)
  confirmMs.value = undefined
}
/** What is told of a load from a list: the list goes away. */
async function other(t: Tell) {
  more.value = false
  if (load.value) await tell(load.value, t)
}

useEventListener(document, 'keydown', (e: KeyboardEvent) => {
  if ((e.key !== ' ' && e.key !== 'Enter') || e.repeat || more.value || said.value) return
  if (e.target instanceof HTMLElement && e.target.closest('button, a, input, select, textarea, [role]'))
    return
  e.preventDefault()
  void main()
})
</script>

<template>
  <div class="stove" :class="{ rings: alarm }" data-stove>
    <h1 class="sr">{{ title }}</h1>
    <slot name="banner" />
    <div v-if="alarm" class="alarm" :class="{ stop: alarm.stop }" role="alert" data-alarm>
      <BellAlertIcon class="bell" /><strong>{{ alarm.text }}</strong>
      <button type="button" class="key" data-hear @click="hear(alarm)">I heard it</button>
    </div>
    <p v-if="silent" class="silent" role="alert">
      No word from the kitchen’s server. What you see is not of now: look at the pots.
    </p>
    <p v-if="problem" class="problem" role="alert" data-problem>{{ problem }}</p>
    <slot v-if="stove && !stove.loads.length" name="empty" />
    <div v-if="load" class="hob-and-now" :class="{ many: (stove?.loads.length ?? 0) > 1 }">
      <div class="side hob-side">
        <div
          class="hob"
          :class="`of-${Math.min(stove?.loads.length ?? 1, 4)}`"
          role="group"
          aria-label="The hob"
        >
          <button
            v-for="l in stove?.loads"
            :key="l.id"
            type="button"
            class="place"
            :aria-pressed="l.id === load.id"
            :data-place="l.phase"
            @click="picked = l.id"
          >
            <PotClock :load="l" :chosen="l.id === load.id && (stove?.loads.length ?? 0) > 1" />
            <span class="under">
              <strong>{{ l.about.jars }}</strong> in {{ l.about.canner }}
              <span class="phase" :class="`is-${l.phase}`"
                >{{ l.phaseWords }}<template v-if="l.phase === 'cooling'">, {{ l.left }} ago</template></span
              >
            </span>
          </button>
        </div>
        <button v-if="load.said.length" type="button" class="last" data-said @click="said = true">
          <strong>{{ load.said[0]?.time }}</strong> {{ load.said[0]?.text }}
        </button>
        <StoveTools :awake="awake" />
      </div>
      <div class="side">
        <LoadNowPlate
          :load="load"
          :confirm-ms="confirmMs"
          @confirm="confirmMs = $event"
          @tell="tell(load, $event)"
        />
        <section v-if="stove?.coming.length" class="plate" aria-label="What comes next" data-coming>
          <h2>Next</h2>
          <p v-for="c in stove.coming" :key="c.text">
            <strong>{{ c.in }}</strong> {{ c.text }}
          </p>
        </section>
        <SideClocks v-if="stove" :hob="hob" :clocks="stove.clocks" />
      </div>
    </div>
    <template v-if="!load">
      <SideClocks v-if="stove" :hob="hob" :clocks="stove.clocks" class="alone" />
      <StoveTools :awake="awake" class="alone" />
    </template>
    <details v-if="load && $slots.more" class="another">
      <summary>Another load onto the hob</summary>
      <slot name="more" />
    </details>
  </div>

  <footer v-if="load" class="actions">
    <button type="button" class="key side-key" data-more @click="more = true">Something else</button>
    <button
      v-if="load.next.kind === 'checked'"
      type="button"
      class="key side-key"
      data-all-checked
      @click="tell(load, { kind: 'checked' })"
    >
      All of it is right in every jar
    </button>
    <button
      v-if="load.phase === 'held'"
      type="button"
      class="key side-key"
      data-unsure
      @click="tell(load, { kind: 'unsure' })"
    >
      Not sure: the full time again
    </button>
    <button
      v-if="load.next.kind"
      type="button"
      class="key main"
      :class="load.phase === 'boiling' ? 'stop-key' : 'key-main'"
      :data-main="load.next.kind"
      :data-what="load.next.what"
      :aria-disabled="settling"
      @click="main"
    >
      {{ load.next.tap }}<small v-if="(stove?.loads.length ?? 0) > 1">{{ load.about.canner }}</small>
    </button>
  </footer>
  <MoreDialog v-if="more && load" :load="load" @tell="other" @close="more = false" />
  <SaidDialog v-if="said && load" :load="load" @tell="tell(load, $event)" @close="said = false" />
</template>

<style scoped>
@import './hob.css';
</style>
