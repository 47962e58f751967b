<script setup lang="ts">
import { computed } from 'vue'
import { useVowChanges, useVows } from '@/api/almanac'

/** What the cook swore the last time, beside the next batch of that product. */
const props = defineProps<{ product: string }>()
const { data: all } = useVows(computed(() => props.product))
const { keep } = useVowChanges()
const vows = computed(() => (all.value ?? []).filter((v) => !v.kept))
</script>

<template>
  <section v-if="vows.length" class="plate" aria-label="Last time you said" data-vows-beside>
    <h2>Last time you said</h2>
    <ul>
      <li v-for="v in vows" :key="v.id">
        <span
          >{{ v.words }} <span class="quiet">({{ v.said }})</span></span
        >
        <button type="button" class="key" @click="keep.mutate({ id: v.id, kept: true })">Done so</button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  gap: 10px;
  align-items: center;
  line-height: 1.3;
}
li > span {
  flex: 1;
}
li > span::first-letter {
  text-transform: uppercase;
}
</style>
