<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { useCatalogue } from '@/api/plan'
import AltitudeFinder from './AltitudeFinder.vue'
import JarsChoice from './JarsChoice.vue'
import { useSetup } from './setup'

/** A beginner's first minutes: altitude, units, which jars, done. */
const { data: catalogue } = useCatalogue()
const { altitude, units, jars, problems, save } = useSetup()
const router = useRouter()

const ready = computed(() => altitude.value.trim() !== '')
async function done() {
  if (await save()) await router.push({ name: 'batch' })
}
</script>

<template>
  <form class="welcome" data-welcome @submit.prevent="done">
    <h1>Three things first</h1>
    <p class="lead">
      Mellisca plans what you put into jars and gives each batch its tested time. It needs to know your
      kitchen once; all of it can be changed later.
    </p>
    <div class="plates">
      <section class="plate">
        <h2>1. How high is your kitchen?</h2>
        <AltitudeFinder v-model="altitude" :problem="problems.altitude" />
      </section>
      <section class="plate">
        <h2>2. How do you measure?</h2>
        <fieldset>
          <legend class="heard">Units</legend>
          <label class="choice-row"
            ><input v-model="units" type="radio" value="us" /> Cups, pounds, inches, °F, feet</label
          >
          <label class="choice-row"
            ><input v-model="units" type="radio" value="metric" /> Litres, grams, centimetres, °C,
            metres</label
          >
        </fieldset>
      </section>
      <section v-if="catalogue" class="plate">
        <h2>3. Which jars do you have?</h2>
        <p class="hint">Jars made for canning. Not sure yet? Tick none, and all are offered.</p>
        <JarsChoice v-model="jars" :catalogue="catalogue" :units="units" />
      </section>
    </div>
    <footer class="foot">
      <p v-if="problems.all" class="problem" role="alert">{{ problems.all }}</p>
      <p v-else class="quiet">{{ ready ? '' : 'Without the altitude no time can be given.' }}</p>
      <button type="button" class="key" data-later @click="router.push({ name: 'batch' })">Later</button>
      <button type="submit" class="key key-main" data-save :disabled="!ready">
        Done, to the first batch
      </button>
    </footer>
  </form>
</template>

<style scoped>
.welcome {
  padding-bottom: 92px;
}
h1 {
  margin: 4px 0 4px;
  font-size: 1.9rem;
}
.lead {
  max-width: 70ch;
  margin: 0 0 12px;
  line-height: 1.4;
}
.plates {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 340px), 1fr));
  gap: 14px;
  align-items: start;
}
h2 {
  font-size: 1.2rem;
}
fieldset {
  margin: 0;
  padding: 0;
  border: 0;
}
</style>
