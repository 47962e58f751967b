<script setup lang="ts">
import { ref } from 'vue'
import { usePotChanges, usePots, type Pot } from '@/api/pots'
import BurnerForm from './BurnerForm.vue'
import PotForm from './PotForm.vue'

const { data } = usePots()
const { removePot, removeBurner } = usePotChanges()
const editing = ref<Pot>()
const said = ref('')
const round = ref(0)

function kept(name: string) {
  said.value = `${name}: kept.`
  editing.value = undefined
  round.value++
}
</script>

<template>
  <div v-if="data" class="pots-page" data-pots>
    <h1>Pots and burners</h1>
    <p class="lead">
      Measure them inside. A batch is planned in the first canner of its process, or in the one that its
      sentence names; how many jars it takes, its water and its heating are worked out from these.
    </p>
    <p role="status" class="said">{{ said }}</p>
    <div class="columns">
      <div class="stack">
        <section class="plate" aria-label="Your pots">
          <h2>Pots</h2>
          <p v-if="!data.pots.length" class="quiet">
            None yet. Batches are planned for the usual enamel canner, 31.5 cm wide and 28 cm deep.
          </p>
          <ul>
            <li v-for="p in data.pots" :key="p.id" :data-pot="p.name">
              <div>
                <strong>{{ p.name }}</strong>, {{ p.across || `${p.length} by ${p.width}` }} wide,
                {{ p.depth }} deep
                <span v-if="p.takes.length" class="quiet"
                  >takes
                  {{
                    p.takes
                      .filter((t) => !t.none)
                      .map((t) => t.text)
                      .join('; ') || 'none of your jars'
                  }}</span
                >
                <span v-for="t in p.takes.filter((t) => t.none)" :key="t.jar" class="none">{{ t.text }}</span>
              </div>
              <button type="button" class="key" @click="editing = p">Change</button>
              <button type="button" class="key" @click="removePot.mutate(p.id)">Remove</button>
            </li>
          </ul>
        </section>
        <section v-if="data.burners.length" class="plate" aria-label="Your burners">
          <h2>Burners</h2>
          <ul>
            <li v-for="b in data.burners" :key="b.id" :data-burner="b.name">
              <div>
                <strong>{{ b.name }}</strong>, {{ b.kind }}, {{ b.watts.toLocaleString() }} W
              </div>
              <button type="button" class="key" @click="removeBurner.mutate(b.id)">Remove</button>
            </li>
          </ul>
        </section>
        <BurnerForm @kept="kept" />
      </div>
      <PotForm
        :key="`${editing?.id ?? 'new'} ${round}`"
        :pot="editing"
        :burners="data.burners"
        @kept="kept"
        @left="editing = undefined"
      />
    </div>
  </div>
</template>

<style scoped src="./listing.css"></style>
<style scoped>
.pots-page {
  padding-bottom: 24px;
}
.none {
  color: var(--color-wait);
}
</style>
