<script setup lang="ts">
import { computed } from 'vue'
import { useFruit } from '@/api/fruit'
import SentenceManyBox from '@/parts/SentenceManyBox.vue'
import type { Sentence } from './sentence'

/** The part of the sentence that says which lots the fruit is from. */
const props = defineProps<{ sentence: Sentence }>()

const { data: fruit } = useFruit()
/** What may go in: lots of that fruit, and what is left over where the sentence takes it. */
const lots = computed(() =>
  (fruit.value?.lots ?? []).flatMap((l) => [
    ...(l.products.includes(props.sentence.request.product) ? [{ id: l.id, name: l.name }] : []),
    ...l.over
      .filter((o) => props.sentence.request.lots?.includes(o.lot))
      .map((o) => ({ id: o.lot, name: `${o.text}, ${l.name}` })),
  ]),
)

const s = computed(() => props.sentence)
</script>

<template>
  <template v-if="lots.length">
    from
    <SentenceManyBox
      label="Lots"
      field="lots"
      none="no lot"
      :options="lots"
      :model-value="s.request.lots ?? ''"
      @update:model-value="s.put({ lots: $event })"
    />
  </template>
</template>
