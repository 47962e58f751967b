<script setup lang="ts">
import { ref } from 'vue'
import { useVowChanges, useVows, type Vow } from '@/api/almanac'
import { useCatalogue } from '@/api/plan'
import { useProblems } from '@/parts/problems'

/** What the cook swore to do differently: it stands beside the next batch of that product. */
const { data: vows } = useVows()
const { data: catalogue } = useCatalogue()
const { add, keep, remove } = useVowChanges()
const { problems, trying } = useProblems()
const product = ref('peaches')
const words = ref('')
const gone = ref<Vow>()
async function forget(v: Vow) {
  await remove.mutateAsync(v.id)
  gone.value = v
}
async function back() {
  const v = gone.value
  gone.value = undefined
  if (v) await add.mutateAsync({ product: v.product, words: v.words, batch: v.batch })
}
const swear = () =>
  trying(async () => {
    await add.mutateAsync({ product: product.value, words: words.value })
    words.value = ''
  })
</script>

<template>
  <section class="plate" aria-label="Next time" data-vows>
    <h2>Next time</h2>
    <p v-if="!vows?.length" class="quiet">
      What you would do differently, said here or when a batch is closed, stands beside the next batch of that
      fruit.
    </p>
    <ul>
      <li v-for="v in vows" :key="v.id" :class="{ kept: v.kept }" :data-vow="v.product">
        <span
          ><strong>{{ v.name }}</strong
          >: {{ v.words }}
          <span class="quiet">{{ v.kept ? `done so on ${v.kept}` : `said on ${v.said}` }}</span></span
        >
        <button
          type="button"
          class="key"
          :data-kept="v.product"
          @click="keep.mutate({ id: v.id, kept: !v.kept })"
        >
          {{ v.kept ? 'Still to do' : 'Done so' }}
        </button>
        <button type="button" class="key" :aria-label="`Forget: ${v.words}`" @click="forget(v)">
          Forget
        </button>
      </li>
    </ul>
    <p v-if="gone" role="status">
      Forgotten: {{ gone.words }}. <button type="button" class="key" data-vow-back @click="back">Undo</button>
    </p>
    <form v-if="catalogue" @submit.prevent="swear">
      <p v-for="(text, field) in problems" :key="field" class="problem" role="alert">{{ text }}</p>
      <label
        >Next time, with<select v-model="product" class="field" data-field="vow-product">
          <option v-for="p in catalogue.products.filter((p) => p.tested)" :key="p.id" :value="p.id">
            {{ p.name }}
          </option>
        </select></label
      >
      <label class="wide"
        >I will<input
          v-model="words"
          class="field"
          maxlength="300"
          placeholder="cook them a minute less"
          data-field="vow-words"
      /></label>
      <button type="submit" class="key key-main" data-swear>Remember it</button>
    </form>
  </section>
</template>

<style scoped>
ul {
  margin: 0 0 8px;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
  padding: 6px 0;
  border-top: 1px solid var(--color-line);
  line-height: 1.3;
}
li > span {
  flex: 1 1 220px;
}
.kept {
  color: var(--color-quiet);
}
strong {
  display: inline-block;
}
strong::first-letter {
  text-transform: uppercase;
}
form {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: end;
}
label {
  font-weight: 600;
  min-width: 0;
}
.field {
  display: block;
  max-width: 100%;
  font-weight: 400;
}
.wide {
  flex: 1 1 200px;
}
.wide .field {
  width: 100%;
}
</style>
