<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Catalogue } from '@/api/client'
import SentenceListbox from '@/parts/SentenceListbox.vue'
import SentenceManyBox from '@/parts/SentenceManyBox.vue'
import type { Sentence } from './sentence'

/**
 * The second, quieter sentence: what else can make a jar unsafe. Where all is as usual it is one line, with a
 * key to change it.
 */
const props = defineProps<{ sentence: Sentence; catalogue: Catalogue; needsAcid: boolean }>()

const opened = ref(false)
const r = computed(() => props.sentence.request)
const usual = computed(
  () =>
    ['', 'sound'].includes(r.value.fruit ?? '') &&
    ['', 'sound'].includes(r.value.jars ?? '') &&
    ['', 'as-demanded'].includes(r.value.acid ?? '') &&
    !r.value.extras,
)
const open = computed(() => opened.value || !usual.value)
const name = (of: { id: string; name: string }[], id: string) => of.find((o) => o.id === id)?.name
</script>

<template>
  <p v-if="open" class="line">
    With
    <SentenceListbox
      label="Fruit"
      field="fruit"
      :options="catalogue.fruits"
      :model-value="r.fruit || 'sound'"
      @update:model-value="sentence.put({ fruit: $event })"
    />
    fruit
    <template v-if="needsAcid">
      and
      <SentenceListbox
        label="Acid"
        field="acid"
        :options="catalogue.acids"
        :model-value="r.acid || 'as-demanded'"
        @update:model-value="sentence.put({ acid: $event })"
      />
    </template>
    in
    <SentenceListbox
      label="Jars and lids"
      field="jars"
      :options="catalogue.jarStates"
      :model-value="r.jars || 'sound'"
      @update:model-value="sentence.put({ jars: $event })"
    />
    with
    <SentenceManyBox
      label="Also in the jar"
      field="extras"
      none="nothing else"
      :options="catalogue.extras"
      :model-value="r.extras ?? ''"
      @update:model-value="sentence.put({ extras: $event })"
    />
    in them.
  </p>
  <p v-else class="line shut">
    With {{ name(catalogue.fruits, 'sound') }} fruit<template v-if="needsAcid">
      and {{ name(catalogue.acids, 'as-demanded') }}</template
    >
    in {{ name(catalogue.jarStates, 'sound') }}, nothing else in them.
    <button type="button" class="other" data-conditions @click="opened = true">Not so today?</button>
  </p>
</template>

<style scoped>
.line {
  margin: 0;
  font-size: 1.05rem;
  line-height: 2.9;
  color: var(--color-quiet);
}
.shut {
  line-height: 1.35;
}
.other {
  min-height: 48px;
  padding: 0 8px;
  color: var(--color-rim-text);
  text-decoration: underline;
  text-underline-offset: 3px;
}
@media (max-width: 640px) {
  .line {
    font-size: 1rem;
    line-height: 3.1;
  }
  .shut {
    line-height: 1.35;
  }
}
</style>
