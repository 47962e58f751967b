<script setup lang="ts">
import { computed, reactive } from 'vue'
import { useCatalogue } from '@/api/plan'
import { useWantChanges, type Want, type WantFields } from '@/api/wants'
import { useProblems } from '@/parts/problems'

/** Something that is wanted: how much, of what, for whom and by when. */
const props = defineProps<{ want?: Want }>()
const emit = defineEmits<{ done: [] }>()
const { data: catalogue } = useCatalogue()
const { keep } = useWantChanges()
const { problems, trying } = useProblems()
const fields = reactive<WantFields>({
  for: props.want?.for ?? 'household',
  product: props.want?.product ?? 'peaches',
  form: props.want?.form ?? '',
  jar: props.want?.jar ?? 'quart',
  count: props.want?.count ?? 12,
  by: props.want?.by ?? '',
  note: props.want?.note ?? '',
})
const product = computed(() => catalogue.value?.products.find((p) => p.id === fields.product))
const save = () =>
  trying(() =>
    keep.mutateAsync({ id: props.want?.id, fields: { ...fields, count: Number(fields.count) || 0 } }),
  ).then((ok) => ok && emit('done'))
</script>

<template>
  <form v-if="catalogue" class="plate" :aria-label="want ? 'Change it' : 'Add a want'" @submit.prevent="save">
    <h2>{{ want ? 'Change it' : 'Another want' }}</h2>
    <p v-for="(text, field) in problems" :key="field" class="problem" role="alert">{{ text }}</p>
    <div class="grid">
      <label
        >Jars<input
          v-model="fields.count"
          type="number"
          min="1"
          max="5000"
          class="field"
          data-field="want-count"
      /></label>
      <label
        >In a<select v-model="fields.jar" class="field" data-field="want-jar">
          <option v-for="j in catalogue.jars" :key="j.id" :value="j.id">{{ j.one }}</option>
        </select></label
      >
      <label
        >Of<select
          v-model="fields.product"
          class="field"
          data-field="want-product"
          @change="fields.form = ''"
        >
          <option v-for="p in catalogue.products.filter((p) => p.tested)" :key="p.id" :value="p.id">
            {{ p.name }}
          </option>
        </select></label
      >
      <label v-if="product && product.forms.length > 1"
        >Cut<select v-model="fields.form" class="field">
          <option value="">any</option>
          <option v-for="f in product.forms" :key="f.id" :value="f.id">{{ f.name }}</option>
        </select></label
      >
      <label
        >For<select v-model="fields.for" class="field" data-field="want-for">
          <option value="household">the household, in a year</option>
          <option value="guests">guests</option>
          <option value="gifts">gifts</option>
        </select></label
      >
      <label>By<input v-model="fields.by" type="date" class="field" /></label>
      <label class="wide">Note<input v-model="fields.note" class="field" maxlength="200" /></label>
    </div>
    <div class="keys">
      <button v-if="want" type="button" class="key" @click="$emit('done')">Back</button>
      <button type="submit" class="key key-main" data-keep-want>{{ want ? 'Keep' : 'Want it' }}</button>
    </div>
  </form>
</template>

<style scoped src="../../parts/form.css"></style>
