<script setup lang="ts">
import { ref } from 'vue'
import { useRound, useShelfChanges, type JarPage, type ShelfJar } from '@/api/shelf'
import { useProblems } from '@/parts/problems'
import JarRow from './JarRow.vue'
import SaidLine from './SaidLine.vue'
import ShelfNav from './ShelfNav.vue'
import TakeDialog from './TakeDialog.vue'

/** The look-over: place by place, jar by jar, with what to look for in sight. */
const { data: round } = useRound()
const { tell } = useShelfChanges()
const { problems, trying } = useProblems()
const taking = ref<string>()
const last = ref<{ jar: JarPage; act: string }>()
const sound = (id: string) =>
  trying(async () => {
    last.value = { jar: await tell.mutateAsync({ id, fields: { act: 'looked' } }), act: 'looked' }
  })
const all = (jars: ShelfJar[]) =>
  trying(async () => {
    for (const j of jars) await tell.mutateAsync({ id: j.id, fields: { act: 'looked' } })
    last.value = undefined
  })
function told(jar: JarPage, act: string) {
  taking.value = undefined
  last.value = { jar, act }
}
</script>

<template>
  <div v-if="round" class="page" data-round>
    <ShelfNav />
    <h1>{{ round.count === 1 ? '1 jar to look over' : `${round.count} jars to look over` }}</h1>
    <SaidLine :jar="last?.jar" :act="last?.act" />
    <p v-for="(text, field) in problems" :key="field" class="problem" role="alert">{{ text }}</p>
    <section class="plate signs" aria-label="What to look for">
      <h2>Take each one to the light. Do not open it, and never taste to find out</h2>
      <ul>
        <li v-for="s in round.signs" :key="s.id">{{ s.text }}</li>
      </ul>
      <p class="stop">With any of these: {{ round.spoilt }}</p>
    </section>
    <p v-if="!round.count" class="plate">
      No jar is due. {{ round.next }}
      <span class="quiet"
        >Each is looked over once a year; one past its best, to be used first or of an unknown process every
        six months.</span
      >
    </p>
    <section v-for="p in round.places" :key="p.name" class="plate" :aria-label="p.name">
      <header class="keys">
        <h2>{{ p.name }}</h2>
        <button
          v-if="p.jars.length > 1"
          type="button"
          class="key"
          :data-all-sound="p.name"
          @click="all(p.jars)"
        >
          All {{ p.jars.length }} are sound
        </button>
      </header>
      <div v-for="j in p.jars" :key="j.id" class="line" :data-due="j.id">
        <JarRow :jar="j" @take="taking = j.id" />
        <button type="button" class="key key-main" data-sound @click="sound(j.id)">Sound</button>
        <button type="button" class="key" data-not-sound @click="taking = j.id">Not so</button>
      </div>
    </section>
    <TakeDialog v-if="taking" :id="taking" @told="told" @close="taking = undefined" />
  </div>
</template>

<style scoped src="./page.css"></style>
<style scoped>
.signs ul {
  columns: 3 240px;
  margin: 4px 0 8px;
}
.signs li {
  padding-left: 18px;
  text-indent: -18px;
  line-height: 1.45;
}
.signs li::before {
  content: '✕ ';
  color: var(--color-stop);
}
.keys h2 {
  flex: 1;
}
.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  gap: 10px;
  align-items: center;
  border-top: 1px solid var(--color-line);
  padding: 4px 0;
}
.line > :first-child {
  border-top: 0;
}
.line .key {
  min-height: 56px;
}
@media (max-width: 760px) {
  .line {
    grid-template-columns: 1fr 1fr;
  }
  .line > :first-child {
    grid-column: 1 / -1;
  }
}
</style>
