<script setup lang="ts">
import { PrinterIcon, TrashIcon } from '@heroicons/vue/24/outline'
import { computed, defineAsyncComponent, ref, toRef, watch } from 'vue'
import { RouterLink, useRoute, useRouter } from 'vue-router'
import { useBatches } from '@/api/batches'
import { Problem, type Plan } from '@/api/client'
import { useKitchen } from '@/api/kitchen'
import { useCatalogue, useFirst, usePlan } from '@/api/plan'
import { ontoHob } from '@/api/stove'
import { useSources } from '@/api/sources'
import { tint as tintOf } from '@/drawings/tints'
import AmountPlate from './AmountPlate.vue'
import AskPlate from './AskPlate.vue'
import BatchCard from './BatchCard.vue'
import CautionsPlate from './CautionsPlate.vue'
import LiquidPlate from './LiquidPlate.vue'
import ListPlate from './ListPlate.vue'
import LoadsPlate from './LoadsPlate.vue'
import NotePlate from './NotePlate.vue'
import RecipePlate from './RecipePlate.vue'
import RefusalPlate from './RefusalPlate.vue'
import SavedList from './SavedList.vue'
import SentencePlate from './SentencePlate.vue'
import TimePlate from './TimePlate.vue'
import { useSaving } from './saving'
import { useSentence } from './sentence'

// What not every batch needs at once is loaded when it is.
const CloseDialog = defineAsyncComponent(() => import('./CloseDialog.vue'))
const VowsBeside = defineAsyncComponent(() => import('./VowsBeside.vue'))

const route = useRoute()
const router = useRouter()
const { data: catalogue } = useCatalogue()
const { data: kitchen } = useKitchen()
const { data: batches } = useBatches()
const { data: sources } = useSources()

const shown = ref<Plan>()
const asks = (name: string) => (typeof route.query[name] === 'string' ? route.query[name] : undefined)
const { data: first } = useFirst(asks('product'), asks('lot'))
const sentence = useSentence(catalogue, shown, first, sources)
const asked = usePlan(toRef(sentence, 'request'), toRef(sentence, 'begun'))
// A plan is shown only while the sentence is understood.
watch([asked.data, asked.isError], () => (shown.value = asked.isError.value ? undefined : asked.data.value), {
  immediate: true,
})
const plan = computed(() => shown.value)
const waiting = computed(() => sentence.typing || asked.isPlaceholderData.value)
const problems = computed<Record<string, string>>(() => {
  const e = asked.error.value
  if (!asked.isError.value || !e) return {}
  return Object.keys(e.fields ?? {}).length ? e.fields : { plan: e.message }
})
const tint = computed(() => tintOf(sentence.request.product, sentence.request.kind))

const id = computed(() =>
  typeof route.params.id === 'string' && route.params.id ? route.params.id : undefined,
)
const saving = useSaving(sentence, id)
const { note, said, failed, deleted } = saving
watch(id, (now) => now && saving.open(now), { immediate: true })

function fresh() {
  saving.fresh()
  void router.push({ name: 'batch' })
}
const print = () => window.print()

async function cook() {
  if (!id.value) return
  try {
    await ontoHob(id.value)
    void router.push({ name: 'stove' })
  } catch (e) {
    failed.value =
      e instanceof Problem ? Object.values(e.fields).join(' ') || e.message : 'That did not work.'
  }
}

const closing = ref(false)
const done = ref<string>()
function closed() {
  closing.value = false
  done.value = id.value
  said.value = 'Closed. Its jars are learned from, and its fruit came off its lots.'
}
</script>

<template>
  <div class="station no-print">
    <h1 class="sr">Batch</h1>
    <SentencePlate
      v-if="catalogue"
      :sentence="sentence"
      :catalogue="catalogue"
      :kitchen="kitchen"
      :problems="problems"
      :sources="sources ?? []"
      :planned-in="plan?.canner.id ?? ''"
      :planned-jars="plan?.jars?.text ?? `6 ${plan?.jar.many ?? 'quarts'}`"
    />
    <div v-if="plan" class="answers" :class="{ waiting }" :aria-busy="waiting" data-plan>
      <RefusalPlate
        v-if="plan.status === 'refused'"
        class="most"
        :plan="plan"
        @choose="sentence.put($event)"
      />
      <template v-else>
        <div class="stack">
          <AskPlate v-if="plan.status === 'incomplete'" :plan="plan" />
          <TimePlate v-else :plan="plan" :tint="tint" />
          <VowsBeside :product="sentence.request.product" />
          <ListPlate title="In each jar" :lines="plan.inEachJar" />
        </div>
        <div class="stack">
          <AmountPlate :plan="plan" :sentence="sentence" :tint="tint" />
          <LiquidPlate
            v-if="plan.liquid"
            :plan="plan"
            :liquid="plan.liquid"
            :sentence="sentence"
            :tint="tint"
          />
          <RecipePlate v-if="plan.recipe" :plan="plan" :recipe="plan.recipe" />
        </div>
        <div class="stack">
          <LoadsPlate :plan="plan" :tint="tint" @choose="sentence.put($event)" />
        </div>
      </template>
      <div class="stack">
        <CautionsPlate :cautions="plan.cautions" />
        <ListPlate
          title="Prepare"
          ordered
          :lines="plan.prepare"
          :lead="[plan.preparing, plan.cookUps].filter(Boolean).join(' ')"
        />
        <NotePlate v-model="note" />
      </div>
    </div>
  </div>

  <footer class="actions no-print">
    <SavedList :batches="batches ?? []" :open="id" @fresh="fresh" />
    <p class="said" role="status">
      <span v-if="failed" class="failed">{{ failed }}</span>
      <span v-else>{{ said }}</span>
      <RouterLink v-if="done && done === id" :to="{ name: 'add-jars', query: { batch: id } }" data-to-shelf
        >Its jars onto the shelf</RouterLink
      >
      <button v-if="deleted" type="button" class="key" @click="saving.undo">Undo</button>
    </p>
    <button v-if="id" type="button" class="key" aria-label="Delete this batch" @click="saving.discard">
      <TrashIcon class="icon" />
    </button>
    <RouterLink
      v-if="id && plan && plan.status !== 'refused'"
      :to="{ name: 'ready', query: { batches: id } }"
      class="key link"
      data-get-ready
      >Get ready</RouterLink
    >
    <RouterLink
      v-if="id && plan?.time"
      :to="{ name: 'day', query: { batch: id } }"
      class="key link"
      data-on-a-day
      >On a day</RouterLink
    >
    <button
      v-if="id && plan?.time"
      type="button"
      class="key"
      data-cook
      :disabled="saving.changed()"
      @click="cook"
    >
      Onto the hob
    </button>
    <button
      v-if="id && plan && plan.status !== 'refused'"
      type="button"
      class="key"
      data-close
      @click="closing = true"
    >
      It is done
    </button>
    <button v-if="plan" type="button" class="key" aria-label="Print the batch card" @click="print">
      <PrinterIcon class="icon" />
    </button>
    <button
      type="button"
      class="key key-main"
      data-save
      :disabled="!plan || (!!id && !saving.changed())"
      @click="saving.keep"
    >
      {{ id ? 'Save changes' : 'Save this batch' }}
    </button>
  </footer>

  <CloseDialog
    v-if="closing && id && plan && catalogue"
    :id="id"
    :plan="plan"
    :catalogue="catalogue"
    :kitchen="kitchen"
    @close="closing = false"
    @closed="closed"
  />
  <BatchCard v-if="plan" :plan="plan" :note="note" :kitchen="kitchen" />
</template>

<style scoped>
@import './station.css';
</style>
