<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { RouterLink, useRoute } from 'vue-router'
import { useJar, useShelfChanges, type JarPage } from '@/api/shelf'
import { useBenchChanges } from '@/api/wants'
import { tint } from '@/drawings/tints'
import { useProblems } from '@/parts/problems'
import JarActs from './JarActs.vue'
import JarWords from './JarWords.vue'
import SaidLine from './SaidLine.vue'
import ShelfNav from './ShelfNav.vue'
import TracePlate from './TracePlate.vue'

/** One jar: what the code on its label opens. Taking it comes first, everything known of it after. */
const route = useRoute()
const { data: jar, error } = useJar(computed(() => String(route.params.id).toLowerCase()))
const { words } = useShelfChanges()
const { problems, trying } = useProblems()
const last = ref<{ jar: JarPage; act: string }>()
const year = ref(new Date().getFullYear())
const { mark } = useBenchChanges(year)
const onBench = ref(false)
const fields = reactive({ note: '', allergens: '', useFirst: false })
watch(
  jar,
  (j) => j && Object.assign(fields, { note: j.note, allergens: j.allergens, useFirst: j.useFirst }),
  { immediate: true },
)
const keep = () => trying(() => words.mutateAsync({ id: jar.value!.id, fields }))
const toBench = () =>
  trying(async () => {
    await mark.mutateAsync({ jar: jar.value!.id, fields: { marks: {}, place: 0, note: '' } })
    onBench.value = true
  })
</script>

<template>
  <div class="page" data-jar-page>
    <ShelfNav />
    <p v-if="error" class="plate" role="alert">
      {{ error.message }}
      <RouterLink :to="{ name: 'jars' }">All jars</RouterLink>
    </p>
    <template v-else-if="jar">
      <SaidLine :jar="last?.jar" :act="last?.act" />
      <section class="plate first">
        <span class="tint" :style="{ background: tint(jar.product, jar.kind) }" aria-hidden="true"></span>
        <h1>{{ jar.what }}</h1>
        <p>
          Jar <strong class="id">{{ jar.id }}</strong><template v-if="jar.number"
            >, number {{ jar.number }} of its load</template
          >
        </p>
        <JarWords :jar="jar" />
        <JarActs :jar="jar" @told="(j, act) => (last = { jar: j, act })" />
      </section>
      <div class="columns">
        <section class="plate" aria-label="What was told of it">
          <h2>What was told of it</h2>
          <ul>
            <li v-for="(h, i) in jar.history" :key="i" :class="{ undone: h.undone }">
              {{ h.text }}<template v-if="h.undone"> (taken back)</template>
            </li>
          </ul>
          <form class="words" @submit.prevent="keep">
            <p v-for="(text, field) in problems" :key="field" class="problem" role="alert">{{ text }}</p>
            <label class="labelled"
              ><span>Note</span
              ><input v-model="fields.note" class="field" maxlength="500" data-field="jar-note"
            /></label>
            <label class="labelled"
              ><span>Allergens, for its label</span
              ><input v-model="fields.allergens" class="field" maxlength="200"
            /></label>
            <label class="choice-row"
              ><input v-model="fields.useFirst" type="checkbox" /> to be used first</label
            >
            <div class="keys">
              <button type="submit" class="key" data-keep-words>Keep</button>
              <RouterLink :to="{ name: 'labels', query: { jar: jar.id } }" class="key">Its label</RouterLink>
              <button
                v-if="jar.state === 'shelf'"
                type="button"
                class="key"
                :disabled="onBench"
                @click="toBench"
              >
                {{ onBench ? 'On the bench' : `For the show of ${year}` }}
              </button>
            </div>
          </form>
        </section>
        <TracePlate v-if="jar.load" of="load" :ref-id="jar.load" :batch="jar.batch" />
        <TracePlate v-else-if="jar.batch" of="batch" :ref-id="jar.batch" :batch="jar.batch" />
      </div>
    </template>
  </div>
</template>

<style scoped src="./page.css"></style>
<style scoped>
.first {
  position: relative;
}
.tint {
  position: absolute;
  right: 18px;
  top: 14px;
  width: 44px;
  height: 58px;
  border: 2px solid var(--color-rim);
  border-radius: 6px 6px 12px 12px;
}
h1 {
  padding-right: 60px;
}
.id {
  letter-spacing: 0.08em;
}
.columns {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 400px), 1fr));
  gap: 12px;
  align-items: start;
}
.undone {
  color: var(--color-quiet);
  text-decoration: line-through;
}
.words {
  display: grid;
  gap: 6px;
  margin-top: 10px;
}
</style>
