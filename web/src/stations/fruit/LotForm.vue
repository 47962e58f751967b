<script setup lang="ts">
import { computed, reactive } from 'vue'
import { useFruitChanges, type Fruit, type Lot } from '@/api/fruit'
import { useScales } from '@/api/stove'
import { useProblems } from '@/parts/problems'

/** A lot that came in, new or to be changed. */
const props = defineProps<{ lot?: Lot; fruit: Fruit }>()
const emit = defineEmits<{ kept: [name: string]; left: [] }>()
const { keepLot } = useFruitChanges()

const fields = reactive({
  name: props.lot?.name ?? '',
  kind: props.lot?.kind ?? 'peach',
  variety: props.lot?.variety ?? '',
  bought: props.lot?.bought ?? '',
  price: props.lot?.price ?? '',
  from: props.lot?.from ?? '',
  got: props.lot?.got ?? '',
  note: props.lot?.note ?? '',
})
const { data: scales } = useScales()
const weighed = computed(() => (scales.value ?? []).find((s) => s.fresh))
const { problems, trying } = useProblems()
const like = computed(() => props.fruit.kinds.find((k) => k.id === fields.kind)?.like ?? '20 lb')
const known = computed(() => props.fruit.varieties.filter((v) => v.kind === fields.kind).map((v) => v.name))

async function save() {
  await trying(async () => {
    await keepLot.mutateAsync({ id: props.lot?.id, fields: { ...fields } })
    emit('kept', fields.name)
  })
}
</script>

<template>
  <form class="plate" aria-label="Lot" @submit.prevent="save">
    <h2>{{ lot ? `Change ${lot.name}` : 'Fruit came in' }}</h2>
    <p v-for="(text, field) in problems" :key="field" class="problem" role="alert" :data-problem="field">
      {{ text }}
    </p>
    <div class="grid">
      <label>
        Fruit
        <select v-model="fields.kind" class="field" data-field="lot-kind">
          <option v-for="k in fruit.kinds" :key="k.id" :value="k.id">{{ k.name }}</option>
        </select>
      </label>
      <label
        >How much<input
          v-model="fields.bought"
          class="field"
          :placeholder="like"
          data-field="lot-bought"
          autocomplete="off"
      /></label>
      <label
        >What you call it<input
          v-model="fields.name"
          class="field"
          placeholder="Tuesday’s crate"
          data-field="lot-name"
          maxlength="80"
          autocomplete="off"
      /></label>
      <label
        >Variety<input v-model="fields.variety" class="field" list="varieties" maxlength="80" /><datalist
          id="varieties"
        >
          <option v-for="v in known" :key="v" :value="v" /></datalist
      ></label>
      <label
        >All of it cost<input v-model="fields.price" class="field" inputmode="decimal" placeholder="18.50"
      /></label>
      <label>From<input v-model="fields.from" class="field" maxlength="120" /></label>
      <label>It came on<input v-model="fields.got" class="field" type="date" :max="fruit.today" /></label>
      <label>Note<input v-model="fields.note" class="field" maxlength="500" /></label>
    </div>
    <div class="keys">
      <button
        v-if="weighed"
        type="button"
        class="key"
        data-from-scale
        @click="fields.bought = weighed.weight"
      >
        {{ weighed.weight }} by {{ weighed.name }}
      </button>
      <button v-if="lot" type="button" class="key" @click="$emit('left')">Leave as it was</button>
      <button type="submit" class="key key-main" data-keep-lot>
        {{ lot ? 'Save the change' : 'Keep this lot' }}
      </button>
    </div>
  </form>
</template>

<style scoped src="@/parts/form.css"></style>
