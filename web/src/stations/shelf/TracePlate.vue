<script setup lang="ts">
import { computed, ref } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { useRecallChanges, useTrace, type TraceOf } from '@/api/trace'
import { useProblems } from '@/parts/problems'
import JarRow from './JarRow.vue'

/** Back to the fruit, forward to every sister; and the one action that pulls them all. */
const props = defineProps<{ of: TraceOf; refId: string; batch: string }>()
const router = useRouter()
const wide = ref<{ of: TraceOf; id: string }>()
const of = computed(() => wide.value?.of ?? props.of)
const id = computed(() => wide.value?.id ?? props.refId)
const { data: trace } = useTrace(of, id)
const { callBack } = useRecallChanges()
const { problems, trying } = useProblems()
const asking = ref(false)
const why = ref('')
const short = ref(false)
const names = { load: 'load', batch: 'batch', lot: 'fruit' }
const pull = () =>
  trying(async () => {
    const recall = await callBack.mutateAsync({
      of: of.value,
      ref: id.value,
      why: why.value,
      short: short.value && of.value !== 'lot',
    })
    await router.push({ name: 'recall', params: { id: recall.id } })
  })
</script>

<template>
  <section v-if="trace" class="plate" aria-label="Where it came from" data-trace>
    <h2>Where it came from, and its sisters</h2>
    <div class="keys" role="group" aria-label="How far to follow it">
      <button v-if="of !== 'load' && props.of === 'load'" type="button" class="key" @click="wide = undefined">
        Its load alone
      </button>
      <button
        v-if="of !== 'batch' && batch"
        type="button"
        class="key"
        data-whole-batch
        @click="wide = { of: 'batch', id: batch }"
      >
        The whole batch
      </button>
      <button
        v-for="l in trace.lots.filter(() => of !== 'lot')"
        :key="l.id"
        type="button"
        class="key"
        :data-lot-of="l.id"
        @click="wide = { of: 'lot', id: l.id }"
      >
        All of its fruit: {{ l.text }}
      </button>
    </div>
    <dl>
      <template v-if="trace.lots.length">
        <dt>Fruit</dt>
        <dd>
          <span v-for="l in trace.lots" :key="l.id">{{ l.text }}</span>
        </dd>
      </template>
      <dt>Batch</dt>
      <dd>
        <RouterLink v-for="b in trace.batches" :key="b.id" :to="{ name: 'batch', params: { id: b.id } }">{{
          b.text
        }}</RouterLink>
      </dd>
      <template v-if="trace.loads.length">
        <dt>Load</dt>
        <dd>
          <span v-for="l in trace.loads" :key="l.id">{{ l.text }}</span>
        </dd>
      </template>
    </dl>
    <p class="count">{{ trace.text }}</p>
    <p v-for="o in trace.others" :key="o" class="quiet">{{ o }}</p>
    <div class="jars">
      <JarRow
        v-for="j in trace.jars"
        :key="j.id"
        :jar="j"
        @take="router.push({ name: 'jar', params: { id: j.id } })"
      />
    </div>
    <RouterLink v-if="trace.recall" :to="{ name: 'recall', params: { id: trace.recall } }" class="key called"
      >It was called back</RouterLink
    >
    <form v-else-if="asking" class="ask" @submit.prevent="pull">
      <p v-for="(text, field) in problems" :key="field" class="problem" role="alert">{{ text }}</p>
      <label class="labelled"
        ><span>What is wrong with it</span
        ><input v-model="why" class="field" maxlength="300" data-field="why" autocomplete="off"
      /></label>
      <label v-if="of !== 'lot'" class="choice-row"
        ><input v-model="short" type="checkbox" /> its process was too short</label
      >
      <div class="keys">
        <button type="submit" class="key key-main" data-call-back>
          Call all {{ trace.jars.length }} back
        </button>
        <button type="button" class="key" @click="asking = false">Back</button>
      </div>
    </form>
    <button v-else type="button" class="key" data-something-wrong @click="asking = true">
      Something is wrong with this {{ names[of] }}
    </button>
  </section>
</template>

<style scoped src="./page.css"></style>
<style scoped>
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 4px 16px;
  margin: 8px 0;
  line-height: 1.3;
}
dt {
  color: var(--color-quiet);
}
dd {
  margin: 0;
}
dd > * {
  display: block;
}
dd > *::first-letter {
  text-transform: uppercase;
}
.count {
  font-weight: 600;
}
.jars {
  max-height: 420px;
  margin-bottom: 10px;
  overflow-y: auto;
}
.ask {
  display: grid;
  gap: 6px;
}
.called {
  color: var(--color-stop);
}
</style>
