<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { useClosingChanges } from '@/api/fruit'
import { useCatalogue } from '@/api/plan'
import { useTakeFile } from '@/parts/takeFile'
import { useProblems } from '@/parts/problems'

/** What batches of earlier seasons gave, out of a notebook or a table. */
const { data: catalogue } = useCatalogue()
const { typePast, importPast } = useClosingChanges()

const empty = { product: 'peaches', form: '', pack: '', fruit: '', jars: '', day: '', minutes: '', note: '' }
const fields = reactive({ ...empty })
const { problems, trying } = useProblems()
const kept = ref('')
const asked = computed(() => catalogue.value?.products.find((p) => p.id === fields.product))
const packs = computed(() => asked.value?.packs.filter((k) => k.tested) ?? [])
const products = computed(() => catalogue.value?.products.filter((p) => p.tested) ?? [])

function took({ added, same }: { added: number; same: number }) {
  const some = added === 1 ? 'One batch was taken in' : `${added} batches were taken in`
  if (!same) return `${some}.`
  return added
    ? `${some}; ${same} of the lines were here already.`
    : 'Nothing new: all of it was here already.'
}
const { said, problem, read } = useTakeFile(async (text) => took(await importPast.mutateAsync(text)))

async function keep() {
  kept.value = ''
  await trying(async () => {
    kept.value = took(await typePast.mutateAsync({ ...fields }))
    Object.assign(fields, { ...empty, product: fields.product, form: fields.form, pack: fields.pack })
  })
}
</script>

<template>
  <details data-past>
    <summary>Add earlier seasons</summary>
    <form aria-label="A batch of an earlier season" @submit.prevent="keep">
      <p v-for="(text, field) in problems" :key="field" class="problem" role="alert" :data-problem="field">
        {{ text }}
      </p>
      <div class="grid">
        <label
          >What it was<select
            v-model="fields.product"
            class="field"
            data-field="past-product"
            @change="fields.form = fields.pack = ''"
          >
            <option v-for="p in products" :key="p.id" :value="p.id">{{ p.name }}</option>
          </select></label
        >
        <label v-if="asked && asked.forms.length > 1"
          >Cut<select v-model="fields.form" class="field" data-field="past-form">
            <option value="" disabled>Say which</option>
            <option v-for="f in asked.forms" :key="f.id" :value="f.id">{{ f.name }}</option>
          </select></label
        >
        <label v-if="packs.length > 1"
          >Pack<select v-model="fields.pack" class="field" data-field="past-pack">
            <option value="" disabled>Say which</option>
            <option v-for="k in packs" :key="k.id" :value="k.id">{{ k.name }}</option>
          </select></label
        >
        <label
          >Fruit that went in<input
            v-model="fields.fruit"
            class="field"
            placeholder="24 lb"
            data-field="past-fruit"
            autocomplete="off"
        /></label>
        <label
          >Jars it gave<input
            v-model="fields.jars"
            class="field"
            placeholder="9 quarts, 1 pint"
            data-field="past-jars"
            autocomplete="off"
        /></label>
        <label
          >When<input
            v-model="fields.day"
            class="field"
            placeholder="2025-08-14"
            data-field="past-day"
            autocomplete="off"
        /></label>
        <label
          >Minutes of work<input
            v-model="fields.minutes"
            class="field"
            inputmode="numeric"
            placeholder="if you know"
            autocomplete="off"
        /></label>
        <label>Note<input v-model="fields.note" class="field" maxlength="1000" /></label>
      </div>
      <div class="keys">
        <p role="status" class="said" data-past-said>{{ kept }}</p>
        <button type="submit" class="key key-main" data-keep-past>Take it in</button>
      </div>
    </form>
    <p class="quiet">
      Many at once: a CSV file whose first line names day, product, form, pack, fruit and jars, or a column
      for each jar size; then a batch a line. With anything wrong in it, nothing is taken over.
    </p>
    <label
      >CSV file<input
        type="file"
        accept=".csv,text/csv,text/plain"
        class="file"
        data-field="past-file"
        @change="read"
    /></label>
    <p v-if="problem" class="problem" role="alert" data-file-problem>{{ problem }}</p>
    <p role="status" class="said" data-file-said>{{ said }}</p>
  </details>
</template>

<style scoped src="@/parts/form.css"></style>
<style scoped>
.file {
  display: block;
  width: 100%;
  min-height: 48px;
  font-weight: 400;
}
p {
  margin: 6px 0;
  line-height: 1.3;
}
summary {
  display: flex;
  align-items: center;
  min-height: 48px;
  cursor: pointer;
  color: var(--color-rim-text);
  text-decoration: underline;
}
.said {
  color: var(--color-go);
  font-weight: 600;
}
</style>
