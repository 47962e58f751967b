<script setup lang="ts">
import { computed, reactive } from 'vue'
import { type Catalogue } from '@/api/client'
import { useSourceChanges, type OwnSource, type SourceFields } from '@/api/sources'
import { useProblems } from '@/parts/problems'

/** One own source, new or to be changed. */
const props = defineProps<{ source?: OwnSource; catalogue: Catalogue }>()
const emit = defineEmits<{ kept: [name: string]; left: [] }>()
const { keep } = useSourceChanges()

const s = props.source
// Numbers are kept as typed, so that an empty field is empty and not a nought.
const typed = reactive({
  year: String(s?.year ?? ''),
  minutes: String(s?.minutes ?? ''),
  additions: (s?.additions ?? [0, 0, 0, 0]).map((n) => (n ? String(n) : '')),
})
const fields = reactive({
  name: s?.name ?? '',
  title: s?.title ?? '',
  page: s?.page ?? '',
  product: s?.product ?? '',
  kind: s?.kind ?? '',
  form: s?.form ?? '',
  pack: s?.pack ?? 'hot',
  largest: s?.largest ?? 'pint',
  headspace: s?.headspace ?? '1/2 in',
  acid: s?.acid ?? '',
})
const { problems, trying } = useProblems()
const kinds = computed(() => props.catalogue.products.find((p) => p.id === fields.product)?.kinds ?? [])
const steps = ['1,001 ft', '3,001 ft', '6,001 ft', '8,001 ft']

async function save() {
  await trying(async () => {
    const number = (text: string) => Math.round(Number(text)) || 0
    const whole: SourceFields = {
      ...fields,
      year: number(typed.year),
      minutes: number(typed.minutes),
      additions: typed.additions.map(number),
    }
    if (!kinds.value.some((k) => k.id === whole.kind)) whole.kind = ''
    await keep.mutateAsync({ id: s?.id, version: s?.version ?? 0, fields: whole })
    emit('kept', fields.name)
    if (!s) {
      Object.assign(fields, { name: '', title: '', page: '', acid: '' })
      Object.assign(typed, { year: '', minutes: '' })
    }
  })
}
</script>

<template>
  <form class="plate" aria-label="Own source" @submit.prevent="save">
    <h2>{{ s ? `Change “${s.name}”` : 'Add one' }}</h2>
    <p v-for="(text, field) in problems" :key="field" class="problem" role="alert" :data-problem="field">
      <strong v-if="field !== 'all'">{{ field }}:</strong> {{ text }}
    </p>
    <div class="grid">
      <label class="wide">Recipe<input v-model="fields.name" class="field" data-field="source-name" /></label>
      <label class="wide"
        >Published in, title<input v-model="fields.title" class="field" data-field="source-title"
      /></label>
      <label
        >Year<input v-model="typed.year" class="field" inputmode="numeric" data-field="source-year"
      /></label>
      <label>Page<input v-model="fields.page" class="field" data-field="source-page" /></label>
      <label class="wide">
        What it is
        <select v-model="fields.product" class="field" data-field="source-product">
          <option value="">something else</option>
          <option v-for="p in catalogue.products" :key="p.id" :value="p.id">{{ p.name }}</option>
        </select>
      </label>
      <label v-if="kinds.length" class="wide">
        Kind
        <select v-model="fields.kind" class="field">
          <option value="">not said</option>
          <option v-for="k in kinds" :key="k.id" :value="k.id">{{ k.name }}</option>
        </select>
      </label>
      <label>
        Pack
        <select v-model="fields.pack" class="field">
          <option value="hot">hot</option>
          <option value="raw">raw</option>
        </select>
      </label>
      <label>
        Largest jar
        <select v-model="fields.largest" class="field" data-field="source-largest">
          <option v-for="j in ['half-pint', 'pint', 'quart', 'half-gallon']" :key="j" :value="j">
            {{ j }}
          </option>
        </select>
      </label>
      <label
        >Minutes at sea level<input
          v-model="typed.minutes"
          class="field"
          inputmode="numeric"
          data-field="source-minutes"
      /></label>
      <label>Headspace<input v-model="fields.headspace" class="field" data-field="source-headspace" /></label>
      <label class="wide"
        >Acid it puts in for safety, if any<input v-model="fields.acid" class="field"
      /></label>
    </div>
    <fieldset>
      <legend>Minutes the source itself adds for altitude, where it prints them</legend>
      <label v-for="(step, i) in steps" :key="step"
        >from {{ step }}<input v-model="typed.additions[i]" class="field" inputmode="numeric"
      /></label>
    </fieldset>
    <div class="keys">
      <button v-if="s" type="button" class="key" @click="$emit('left')">Leave as it was</button>
      <button type="submit" class="key key-main" data-save>
        {{ s ? 'Save the change' : 'Keep this source' }}
      </button>
    </div>
  </form>
</template>

<style scoped src="@/parts/form.css"></style>
<style scoped>
fieldset {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 8px;
  margin: 12px 0 0;
  padding: 0;
  border: 0;
}
legend {
  padding: 0 0 4px;
  line-height: 1.3;
}
fieldset label {
  font-weight: 400;
}
</style>
