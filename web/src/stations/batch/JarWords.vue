<script setup lang="ts">
import { computed } from 'vue'
import type { Catalogue, Kitchen } from '@/api/client'
import { usePots } from '@/api/pots'
import SentenceField from '@/parts/SentenceField.vue'
import SentenceListbox from '@/parts/SentenceListbox.vue'
import type { Sentence } from './sentence'

/** The part of the sentence that says in which jars, by which process, in which canner. */
const props = defineProps<{
  sentence: Sentence
  catalogue: Catalogue
  kitchen?: Kitchen
  problems: Record<string, string>
  plannedIn: string
  plannedJars: string
}>()
const s = computed(() => props.sentence)

const { data: pots } = usePots()
const canners = computed(() =>
  (pots.value?.pots ?? [])
    .filter(
      (p) => (p.kind === 'steam') === (props.sentence.filled.method === 'steam') && p.kind !== 'cooking',
    )
    .map((p) => ({ id: p.id, name: p.name })),
)

const several = 'several'
const own = (j: Catalogue['jars'][number]) => {
  const jars = props.kitchen?.jars ?? []
  return jars.length ? jars.includes(j.id) : j.system === props.kitchen?.units
}
/** The kitchen's own jars first, then the others. */
const jars = computed(() =>
  [...props.catalogue.jars]
    .sort((a, b) => Number(own(b)) - Number(own(a)))
    .map((j) => ({ id: j.id, name: j.many }))
    .concat({ id: several, name: 'jars of several sizes' }),
)
function putJar(id: string) {
  s.value.put(id === several ? { sizes: props.plannedJars } : { jar: id })
}
</script>

<template>
  <span class="comma">,</span> in
  <SentenceField
    v-if="s.request.sizes"
    label="Jars by size; empty for one size"
    field="sizes"
    :model-value="s.request.sizes"
    :wrong="'sizes' in problems"
    @typing="s.typing = true"
    @update:model-value="s.put({ sizes: $event })"
  />
  <SentenceListbox
    v-else
    label="Jar"
    field="jar"
    :options="jars"
    :model-value="s.request.jar"
    @update:model-value="putJar"
  />
  <span class="comma">,</span> by
  <SentenceListbox
    label="Process"
    field="method"
    :options="catalogue.methods"
    :model-value="s.filled.method || 'boiling-water'"
    @update:model-value="s.put({ method: $event, canner: '' })"
  />
  <template v-if="canners.length > 1">
    in
    <SentenceListbox
      label="Canner"
      field="canner"
      :options="canners"
      :model-value="s.request.canner || plannedIn"
      @update:model-value="s.put({ canner: $event })"
    />
  </template>
</template>

<style scoped>
.comma {
  position: relative;
  margin-left: -0.18em;
}
</style>
