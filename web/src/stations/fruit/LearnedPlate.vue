<script setup lang="ts">
import { ref, watch } from 'vue'
import { olderClosings, useClosingChanges, useClosings, type Closing } from '@/api/fruit'
import PastForm from './PastForm.vue'

/** What batches gave: what yields are learned from, and may be told to forget. */
const { data: closings } = useClosings()
const { forget } = useClosingChanges()

/** Older ones follow on asking, a page at a time. */
const page = 500
const older = ref<Closing[]>([])
const more = ref(false)
watch(closings, (all) => {
  older.value = []
  more.value = all?.length === page
})
async function next() {
  const got = await olderClosings((closings.value?.length ?? 0) + older.value.length)
  older.value.push(...got)
  more.value = got.length === page
}
</script>

<template>
  <section class="plate" aria-label="What batches gave">
    <h2>What batches gave</h2>
    <p class="quiet">
      Yields start from the guide’s range and move by these. Close a saved batch to add to it.
    </p>
    <ul>
      <li
        v-for="c in [...(closings ?? []), ...older]"
        :key="c.id"
        :class="{ forgotten: c.forgotten }"
        data-closing
      >
        <div>
          <strong>{{ c.headline }}</strong>: {{ c.text }}
          <span v-if="c.steps" class="quiet">{{ c.steps }}</span>
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
    <button v-if="more" type="button" class="plain" data-older @click="next">Older ones</button>
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
