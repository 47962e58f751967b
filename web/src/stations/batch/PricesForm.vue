<script setup lang="ts">
import { reactive, ref, watch } from 'vue'
import { usePrices, useSetPrices, type Prices } from '@/api/liquids'
import { useProblems } from '@/parts/problems'

/** What sweeteners and juice cost, as the cook says it; kept for all batches. */
const { data } = usePrices()
const set = useSetPrices()
const prices = reactive<Required<Prices>>({
  sugar: '',
  honey: '',
  corn: '',
  juice: '',
  lid: '',
  jar: '',
  hour: '',
  bought: '',
})
const { problems, trying } = useProblems()
const said = ref('')
watch(data, (p) => p && Object.assign(prices, p), { immediate: true })

const rows = [
  { id: 'sugar', name: 'Sugar', like: '3.49 for 4 lb' },
  { id: 'honey', name: 'Honey', like: '9 for 2 lb' },
  { id: 'corn', name: 'Light corn syrup', like: '4 for 1 kg' },
  { id: 'juice', name: 'Bought juice', like: '2.50 for 2 l' },
  { id: 'lid', name: 'New lids', like: '4.29 for 12' },
  { id: 'jar', name: 'Jars', like: '14 for 12' },
  { id: 'hour', name: 'An hour of flame', like: '0.60 an hour' },
  { id: 'bought', name: 'The same, bought', like: '4.50 a quart' },
] as const

async function save() {
  said.value = ''
  await trying(async () => {
    await set.mutateAsync({ ...prices })
    said.value = 'Kept.'
  })
}
</script>

<template>
  <form class="prices" aria-label="What it costs" @submit.prevent="save">
    <label v-for="r in rows" :key="r.id"
      >{{ r.name
      }}<input
        v-model="prices[r.id]"
        class="field"
        :placeholder="r.like"
        :aria-invalid="r.id in problems"
        :data-field="`price-${r.id}`"
        autocomplete="off"
        maxlength="60"
    /></label>
    <button type="submit" class="key">Keep the prices</button>
    <span role="status" class="said">{{ said }}</span>
    <p v-for="(text, field) in problems" :key="field" class="problem" role="alert">{{ text }}</p>
  </form>
</template>

<style scoped>
.prices {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: end;
}
label {
  flex: 1 1 150px;
  font-weight: 600;
  line-height: 1.2;
}
.field {
  display: block;
  width: 100%;
  font-weight: 400;
}
.said {
  align-self: center;
  color: var(--color-go);
  font-weight: 600;
}
.problem {
  flex-basis: 100%;
  margin: 0;
  color: var(--color-stop);
  line-height: 1.3;
}
</style>
