<script setup lang="ts">
import { useClosingChanges, useClosings } from '@/api/fruit'
import PastForm from './PastForm.vue'

/** What batches gave: what yields are learned from, and may be told to forget. */
const { data: closings } = useClosings()
const { forget } = useClosingChanges()
</script>

<template>
  <section class="plate" aria-label="What batches gave">
    <h2>What batches gave</h2>
    <p class="quiet">
      Yields start from the guide’s range and move by these. Close a saved batch to add to it.
    </p>
    <ul>
      <li v-for="c in closings ?? []" :key="c.id" :class="{ forgotten: c.forgotten }" data-closing>
        <div>
          <strong>{{ c.headline }}</strong>: {{ c.text }}
          <span class="quiet"
            >{{ c.day }}<template v-if="c.against">, {{ c.against }}</template
            ><template v-if="c.forgotten">, not learned from</template></span
          >
        </div>
        <button type="button" class="plain" @click="forget.mutate({ id: c.id, forgotten: !c.forgotten })">
          {{ c.forgotten ? 'Learn from it' : 'Forget it' }}
        </button>
      </li>
    </ul>
    <PastForm />
  </section>
</template>

<style scoped>
p {
  margin: 0 0 4px;
  line-height: 1.3;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 4px 0;
  border-top: 1px solid var(--color-line);
}
li div {
  flex: 1 1 0;
  line-height: 1.3;
}
strong::first-letter {
  text-transform: uppercase;
}
li span {
  display: block;
}
.forgotten strong {
  font-weight: 400;
}
.plain {
  min-height: 48px;
  padding: 0 6px;
  color: var(--color-rim-text);
  text-decoration: underline;
  text-underline-offset: 3px;
}
</style>
