<script setup lang="ts">
import { computed, ref } from 'vue'
import { RouterLink, useRoute } from 'vue-router'
import { useShelfChanges } from '@/api/shelf'
import { useRecall, useRecallChanges } from '@/api/trace'
import { useProblems } from '@/parts/problems'
import JarRow from './JarRow.vue'
import ShelfNav from './ShelfNav.vue'
import TakeDialog from './TakeDialog.vue'

/** One recall as a list to go through the house with, and to ring people up by. */
const route = useRoute()
const { data: recall } = useRecall(computed(() => String(route.params.id)))
const { undo } = useRecallChanges()
const { tell } = useShelfChanges()
const { problems, trying } = useProblems()
const taking = ref<string>()
const parts = computed(() => [
  { name: 'In the house: take them off the shelf', jars: recall.value?.pulled ?? [], key: 'pulled' },
  { name: 'Given away: tell whoever has them', jars: recall.value?.given ?? [], key: 'given' },
  { name: 'Gone already', jars: recall.value?.gone ?? [], key: 'gone' },
])
const away = (id: string) =>
  trying(() => tell.mutateAsync({ id, fields: { act: 'discarded', why: 'Called back' } }))
const warned = (id: string) => trying(() => tell.mutateAsync({ id, fields: { act: 'warned' } }))
const print = () => window.print()
const told = () => (taking.value = undefined)
</script>

<template>
  <div v-if="recall" class="page" data-recall>
    <ShelfNav />
    <h1>{{ recall.name }}</h1>
    <p class="big" :class="{ stop: recall.pulled.length || recall.given.length }">
      Called back {{ recall.day }}: {{ recall.text }}
    </p>
    <p>{{ recall.why }}</p>
    <p v-if="!recall.undone" class="plate what" role="note">{{ recall.what }}</p>
    <p v-for="(text, field) in problems" :key="field" class="problem" role="alert">{{ text }}</p>
    <template v-for="p in parts" :key="p.key">
      <section v-if="p.jars.length" class="plate" :aria-label="p.name" :data-part="p.key">
        <h2>{{ p.name }}</h2>
        <div v-for="j in p.jars" :key="j.id" class="line">
          <JarRow :jar="j" @take="taking = j.id" />
          <button
            v-if="p.key === 'pulled'"
            type="button"
            class="key key-main no-print"
            :data-away="j.id"
            @click="away(j.id)"
          >
            Thrown away
          </button>
          <button
            v-if="p.key === 'given' && j.can.length"
            type="button"
            class="key key-main no-print"
            :data-warned="j.id"
            @click="warned(j.id)"
          >
            They know
          </button>
          <span class="print-only box" aria-hidden="true"></span>
        </div>
      </section>
    </template>
    <p v-for="o in recall.others" :key="o">{{ o }}</p>
    <div class="keys no-print">
      <RouterLink :to="{ name: 'recalls' }" class="key">All that was called back</RouterLink>
      <button
        v-if="!recall.undone"
        type="button"
        class="key"
        data-undo-recall
        @click="trying(() => undo.mutateAsync(recall!.id))"
      >
        It was a mistake: take it back
      </button>
      <button type="button" class="key key-main" @click="print">Print the list</button>
    </div>
    <TakeDialog v-if="taking" :id="taking" @told="told" @close="taking = undefined" />
  </div>
</template>

<style scoped src="./page.css"></style>
<style scoped>
.what {
  font-weight: 600;
}
.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 10px;
  align-items: center;
}
.box {
  width: 18px;
  height: 18px;
  border: 1.5px solid #000;
}
@media (max-width: 760px) {
  .line {
    grid-template-columns: 1fr;
  }
}
</style>
