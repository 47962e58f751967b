<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { RouterLink, useRoute } from 'vue-router'
import { useCatalogue } from '@/api/plan'
import { useJarsOfBatch, useShelf, useShelfChanges, type JarFields } from '@/api/shelf'
import { useProblems } from '@/parts/problems'
import ShelfNav from './ShelfNav.vue'

/** Jars that were not run here: from before, presents, or of a batch that was closed by hand. */
const { data: catalogue } = useCatalogue()
const { data: shelf } = useShelf()
const { add } = useShelfChanges()
const { problems, trying } = useProblems()
const batch = String(useRoute().query.batch ?? '')
const empty: JarFields = {
  count: 1,
  product: 'peaches',
  form: '',
  what: '',
  strength: '',
  jar: 'quart',
  canned: '',
  origin: batch ? 'batch' : 'before',
  madeBy: '',
  process: 'told',
  source: '',
  batch,
  place: '',
  note: '',
}
const fields = reactive<JarFields>({ ...empty })
const { data: offered, error: notOffered } = useJarsOfBatch(batch)
watch(offered, (all) => all?.[0] && Object.assign(fields, { ...empty, ...all[0], place: fields.place }), {
  immediate: true,
})
const said = ref('')
const ids = ref<string[]>([])
const product = computed(() => catalogue.value?.products.find((p) => p.id === fields.product))
const processes = [
  { id: 'told', name: 'by a tested time, I know that' },
  { id: 'own', name: 'by another published source' },
  { id: 'unknown', name: 'I do not know' },
]
const keep = () =>
  trying(async () => {
    const kept = await add.mutateAsync({ ...fields, count: Number(fields.count) || 0 })
    said.value = kept.text
    ids.value = kept.ids
    if (!batch)
      Object.assign(fields, { ...empty, product: fields.product, jar: fields.jar, place: fields.place })
  })
</script>

<template>
  <div v-if="catalogue && shelf" class="page" data-add-jars-page>
    <ShelfNav />
    <h1>Add jars</h1>
    <p class="lead">
      For jars that were canned before, given by others, or run without the stove's record. What nobody knows
      the process of is marked, and never counted as tested.
    </p>
    <p role="status" class="said">
      {{ said }}
      <RouterLink v-if="ids.length" :to="{ name: 'labels', query: { jar: ids.join(',') } }"
        >Their labels</RouterLink
      >
    </p>
    <p v-if="notOffered" class="plate" role="alert">{{ notOffered.message }}</p>
    <p v-else-if="batch && offered" class="plate" data-offered>
      {{
        offered.length
          ? 'Only those whose seals held: put the others into the refrigerator, and their number off this one.'
          : 'All jars of this batch are on the shelf.'
      }}
    </p>
    <form v-if="!notOffered && (!batch || offered?.length)" class="plate grid" @submit.prevent="keep">
      <p
        v-for="(text, field) in problems"
        :key="field"
        class="problem wide"
        role="alert"
        :data-problem="field"
      >
        {{ text }}
      </p>
      <label
        >How many<input
          v-model="fields.count"
          type="number"
          min="1"
          max="200"
          class="field"
          data-field="jar-count"
      /></label>
      <label
        >In a<select v-model="fields.jar" class="field">
          <option v-for="j in catalogue.jars" :key="j.id" :value="j.id">{{ j.one }}</option>
        </select></label
      >
      <label
        >Of<select v-model="fields.product" class="field" data-field="jar-product" @change="fields.form = ''">
          <option v-for="p in catalogue.products" :key="p.id" :value="p.id">{{ p.name }}</option>
          <option value="">something else</option>
        </select></label
      >
      <label v-if="product && product.forms.length > 1"
        >Cut<select v-model="fields.form" class="field">
          <option value="">not known</option>
          <option v-for="f in product.forms" :key="f.id" :value="f.id">{{ f.name }}</option>
        </select></label
      >
      <label v-if="!fields.product"
        >What it is<input v-model="fields.what" class="field" maxlength="120" data-field="jar-what"
      /></label>
      <label
        >Pack and liquid<input
          v-model="fields.strength"
          class="field"
          maxlength="120"
          placeholder="hot pack, in light syrup"
      /></label>
      <label
        >Canned<input
          v-model="fields.canned"
          class="field"
          placeholder="2025-08-14, or 2025"
          autocomplete="off"
          data-field="jar-canned"
      /></label>
      <label
        >Where it is from<select v-model="fields.origin" class="field" data-field="jar-origin">
          <option value="before">made here, before</option>
          <option value="present">given to us</option>
          <option v-if="batch" value="batch">of a batch closed by hand</option>
        </select></label
      >
      <label
        >Made by<input
          v-model="fields.madeBy"
          class="field"
          maxlength="80"
          autocomplete="off"
          data-field="jar-by"
      /></label>
      <label
        >How it was processed<select v-model="fields.process" class="field" data-field="jar-process">
          <option v-for="p in processes" :key="p.id" :value="p.id">{{ p.name }}</option>
        </select></label
      >
      <label v-if="fields.process === 'own'"
        >Which source, with its page<input v-model="fields.source" class="field" maxlength="200"
      /></label>
      <label v-if="shelf.places.some((p) => p.id)"
        >It stands in<select v-model="fields.place" class="field">
          <option value="">where jars were put last</option>
          <option v-for="p in shelf.places.filter((p) => p.id)" :key="p.id" :value="p.id">
            {{ p.name }}
          </option>
        </select></label
      >
      <label class="wide">Note<input v-model="fields.note" class="field" maxlength="500" /></label>
      <div class="keys wide">
        <RouterLink :to="{ name: 'shelf' }" class="key">Back</RouterLink>
        <button type="submit" class="key key-main" data-keep-jars>Onto the shelf</button>
      </div>
    </form>
  </div>
</template>

<style scoped src="../../parts/form.css"></style>
<style scoped src="./page.css"></style>
<style scoped>
.grid {
  max-width: 860px;
}
.said {
  min-height: 1.4em;
  font-weight: 600;
  color: var(--color-go);
}
.keys {
  justify-content: flex-end;
}
@media (max-width: 640px) {
  .grid {
    grid-template-columns: 1fr;
  }
}
</style>
