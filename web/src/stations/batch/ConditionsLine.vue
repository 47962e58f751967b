<script setup lang="ts">
import type { Catalogue } from '@/api/client'
import SentenceListbox from '@/parts/SentenceListbox.vue'
import SentenceManyBox from '@/parts/SentenceManyBox.vue'
import type { Sentence } from './sentence'

/** The second, quieter sentence: what else can make a jar unsafe. */
defineProps<{ sentence: Sentence; catalogue: Catalogue }>()
</script>

<template>
  <p class="line">
    With
    <SentenceListbox
      label="Fruit"
      field="fruit"
      :options="catalogue.fruits"
      :model-value="sentence.request.fruit || 'sound'"
      @update:model-value="sentence.put({ fruit: $event })"
    />
    fruit
    <template v-if="sentence.product?.needsAcid">
      and
      <SentenceListbox
        label="Acid"
        field="acid"
        :options="catalogue.acids"
        :model-value="sentence.request.acid || 'as-demanded'"
        @update:model-value="sentence.put({ acid: $event })"
      />
    </template>
    in
    <SentenceListbox
      label="Jars and lids"
      field="jars"
      :options="catalogue.jarStates"
      :model-value="sentence.request.jars || 'sound'"
      @update:model-value="sentence.put({ jars: $event })"
    />
    with
    <SentenceManyBox
      label="Also in the jar"
      field="extras"
      none="nothing else"
      :options="catalogue.extras"
      :model-value="sentence.request.extras ?? ''"
      @update:model-value="sentence.put({ extras: $event })"
    />
    in them.
  </p>
</template>

<style scoped>
.line {
  margin: 0;
  font-size: 1.05rem;
  line-height: 2.9;
  color: var(--color-quiet);
}
@media (max-width: 640px) {
  .line {
    font-size: 1rem;
    line-height: 3.1;
  }
}
</style>
