<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { RouterLink, useRoute } from 'vue-router'
import { useBatches } from '@/api/batches'
import { useDayChanges, type Day, type DayBatch } from '@/api/day'
import { tint } from '@/drawings/tints'
import { useProblems } from '@/parts/problems'

/** What is made on the day: when each may begin and is to be done, and on which day it is. */
const props = defineProps<{ day: Day }>()
const date = computed(() => props.day.date)
const { add, setBatch, move } = useDayChanges(date)
const { data: saved } = useBatches()
const { problems, trying } = useProblems()
const open = ref<string>()
const name = (b: DayBatch) => `${b.batch}/${b.part}`
const others = computed(() =>
  (saved.value ?? []).filter((b) => b.minutes && b.jars && !props.day.batches.some((d) => d.batch === b.id)),
)
const picked = ref('')
// A batch that was sent here from its own page is picked already.
const sent = useRoute().query.batch
watch(
  others,
  (all) => {
    if (typeof sent === 'string' && !picked.value && all.some((b) => b.id === sent)) picked.value = sent
  },
  { immediate: true },
)
const put = () =>
  trying(async () => {
    if (picked.value) await add.mutateAsync(picked.value)
    picked.value = ''
  })
function keep(b: DayBatch, e: Event) {
  const form = new FormData(e.target as HTMLFormElement)
  const text = (field: string) => String(form.get(field) ?? '')
  void trying(async () => {
    await setBatch.mutateAsync({ batch: b.batch, part: b.part, from: text('from'), by: text('by') })
    open.value = undefined
  })
}
const away = (b: DayBatch, to: string) => trying(() => move.mutateAsync({ batch: b.batch, part: b.part, to }))
</script>

<template>
  <section class="plate" aria-label="What is made" data-day-batches>
    <h2>What is made</h2>
    <p v-for="(text, field) in problems" :key="field" class="problem" role="alert" :data-problem="field">
      {{ text }}
    </p>
    <ul>
      <li v-for="(b, i) in day.batches" :key="name(b)" :data-day-batch="b.product">
        <div class="line">
          <span class="number" :style="{ background: tint(b.product, b.kind) }" aria-hidden="true"></span>
          <span class="words">
            <strong>{{ i + 1 }}. {{ b.headline }}</strong>
            <span>
              {{ b.jars }}<template v-if="b.which">, {{ b.which }}</template
              ><template v-if="b.part === 'juice'">, its juice today</template
              ><template v-if="b.part === 'jars'">, into jars today</template
              ><template v-if="b.done">, done {{ b.done }}</template>
            </span>
            <span v-if="b.from || b.by" class="quiet"
              ><template v-if="b.from">not before {{ b.from }}</template
              ><template v-if="b.from && b.by">, </template
              ><template v-if="b.by">to be done by {{ b.by }}</template></span
            >
            <span v-if="b.late" class="stop">{{ b.late }}</span>
            <span v-if="b.waits" class="quiet">{{ b.waits }}</span>
            <span v-if="b.not" class="stop"
              >{{ b.not }}
              <RouterLink :to="{ name: 'batch', params: { id: b.batch } }">Open it</RouterLink></span
            >
          </span>
          <button
            type="button"
            class="key"
            :aria-expanded="open === name(b)"
            :data-change="b.product"
            @click="open = open === name(b) ? undefined : name(b)"
          >
            Move
          </button>
        </div>
        <form v-if="open === name(b)" class="move" @submit.prevent="keep(b, $event)">
          <label
            >not before<input
              name="from"
              class="field"
              size="6"
              :value="b.from"
              placeholder="any time"
              data-field="batch-from"
          /></label>
          <label
            >done by<input
              name="by"
              class="field"
              size="6"
              :value="b.by"
              placeholder="no hour"
              data-field="batch-by"
          /></label>
          <button type="submit" class="key key-main" data-keep-batch>Keep</button>
          <button v-if="!b.begun" type="button" class="key" data-next-day @click="away(b, day.next)">
            To the next day
          </button>
          <button v-if="!b.begun" type="button" class="key" data-off-day @click="away(b, '')">
            Off this day
          </button>
          <RouterLink class="key" :to="{ name: 'batch', params: { id: b.batch } }">Open it</RouterLink>
        </form>
      </li>
    </ul>
    <p v-if="day.batches.length" class="ready">
      <RouterLink
        :to="{ name: 'ready', query: { batches: day.batches.map((b) => b.batch).join(',') } }"
        data-day-ready
        >What to have ready for all of it</RouterLink
      >
    </p>
    <form v-if="others.length" class="put" @submit.prevent="put">
      <label class="grow"
        ><span class="heard">A saved batch</span>
        <select v-model="picked" class="field" data-field="add-batch">
          <option value="">Put a saved batch on the day…</option>
          <option v-for="b in others" :key="b.id" :value="b.id">{{ b.headline }}, {{ b.jars }}</option>
        </select></label
      >
      <button type="submit" class="key" :disabled="!picked" data-add-batch>Put it on</button>
    </form>
    <p v-else class="hint" data-none>
      {{
        day.batches.length
          ? 'Every saved batch that has a time is on the day.'
          : 'No saved batch has a time and jars yet.'
      }}
      <RouterLink :to="{ name: 'batch' }">Plan one in Batch</RouterLink>, and save it.
    </p>
  </section>
</template>

<style scoped src="./batches.css"></style>
