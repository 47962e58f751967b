<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { lookAtLabels, queryOf, useLabelChanges, useLabels, type LabelQuery, type Sheet } from '@/api/labels'
import { useShelf } from '@/api/shelf'
import { useProblems } from '@/parts/problems'
import LabelChoice from './LabelChoice.vue'
import LabelAddress from './LabelAddress.vue'
import SheetForm from './SheetForm.vue'
import ShelfNav from './ShelfNav.vue'

/** Labels for jars, lids and boxes: which, on what, and how the first of them will look. */
const route = useRoute()
const { data: labels } = useLabels()
const { data: shelf } = useShelf()
const { print } = useLabelChanges()
const { problems, trying } = useProblems()
const query = ref<LabelQuery>({
  sheet: 'plain-a4',
  jars: String(route.query.jar ?? ''),
  load: String(route.query.load ?? ''),
  place: '',
  q: '',
  boxes: false,
  first: 1,
  copies: 1,
  noCode: false,
  outline: true,
})
const which = ref(query.value.load ? 'load' : query.value.jars ? 'jars' : 'place')
const picture = ref('')
const look = ref<Awaited<ReturnType<typeof lookAtLabels>>>()
const editing = ref<{ sheet?: Sheet }>()
const sheet = computed(() => labels.value?.sheets.find((s) => s.id === query.value.sheet))
const chosen = computed<LabelQuery>(() => ({
  ...query.value,
  first: Number(query.value.first) || 1,
  copies: Number(query.value.copies) || 1,
  jars: which.value === 'jars' ? query.value.jars : '',
  load: which.value === 'load' ? query.value.load : '',
  place: ['place', 'boxes'].includes(which.value) ? query.value.place : '',
  q: which.value === 'words' ? query.value.q : '',
  boxes: which.value === 'boxes',
}))
const anything = computed(() =>
  Boolean(chosen.value.jars || chosen.value.load || chosen.value.place || chosen.value.q.trim()),
)
const printed = ref('')

watch(
  [chosen, () => labels.value?.address],
  async () => {
    printed.value = ''
    if (!anything.value) return void (picture.value = '')
    await trying(async () => {
      look.value = await lookAtLabels(chosen.value)
      picture.value = `/api/files/label.png?${queryOf(chosen.value)}`
    })
  },
  { immediate: true },
)
watch(
  () => shelf.value?.places[0]?.id,
  (id) => (query.value.place ||= id ?? ''),
  { immediate: true },
)
const strip = () =>
  trying(async () => {
    await print.mutateAsync(chosen.value)
    printed.value = 'Printed on the label printer (simulated here).'
  })
</script>

<template>
  <div v-if="labels && shelf" class="page" data-labels>
    <ShelfNav />
    <h1 class="heard">Labels</h1>
    <div class="columns">
      <LabelChoice
        v-model:query="query"
        v-model:which="which"
        :labels="labels"
        :places="shelf.places"
        @measure="editing = $event"
      />
      <div class="stack">
        <section class="plate shown" aria-label="The first of them">
          <h2>The first of them</h2>
          <p v-for="(text, field) in problems" :key="field" class="problem" role="alert" data-problem>
            {{ text }}
          </p>
          <p v-if="!anything" class="quiet">Choose some jars, and the first label shows here.</p>
          <img
            v-else-if="picture && !Object.keys(problems).length"
            :src="picture"
            alt="The first label as it will be printed"
            class="label"
            :class="{ round: sheet?.round }"
            data-picture
          />
          <template v-if="anything && look && !Object.keys(problems).length">
            <p>
              <strong data-look>{{ look.text }}</strong>
            </p>
            <p v-for="w in look.warnings" :key="w" class="warning">{{ w }}</p>
          </template>
          <p role="status" class="done">{{ printed }}</p>
          <div class="keys">
            <button type="button" class="key" :disabled="!anything" data-on-printer @click="strip">
              On the label printer
            </button>
            <a
              v-if="anything"
              class="key key-main"
              :href="`/api/files/labels.pdf?${queryOf(chosen)}`"
              target="_blank"
              data-pdf
              >The sheets, to print</a
            >
          </div>
        </section>
        <LabelAddress :labels="labels" />
      </div>
    </div>
    <SheetForm
      v-if="editing"
      :sheet="editing.sheet"
      @kept="query.sheet = $event"
      @close="editing = undefined"
    />
  </div>
</template>

<style scoped src="./page.css"></style>
<style scoped>
.columns {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 440px), 1fr));
  gap: 14px;
  align-items: start;
}
.stack {
  display: grid;
  gap: 14px;
}
.label {
  display: block;
  width: min(100%, 520px);
  max-height: 46dvh;
  object-fit: contain;
  margin: 4px auto 12px;
  border: 2px solid var(--color-line);
  border-radius: 6px;
  background: #fff;
}
.label.round {
  border-radius: 50%;
  width: min(100%, 360px);
}
.shown .keys {
  justify-content: flex-end;
}
.warning {
  color: var(--color-wait);
}
.done {
  font-weight: 600;
  color: var(--color-go);
}
</style>
