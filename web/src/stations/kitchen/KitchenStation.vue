<script setup lang="ts">
import { RouterLink } from 'vue-router'
import { useCatalogue } from '@/api/plan'
import AltitudeFinder from './AltitudeFinder.vue'
import DevicePlate from './DevicePlate.vue'
import JarsChoice from './JarsChoice.vue'
import { useSetup } from './setup'

const { data: catalogue } = useCatalogue()
const { name, altitude, units, jars, said, problems, changed, save } = useSetup()
</script>

<template>
  <form class="kitchen" @submit.prevent="save">
    <h1>Kitchen</h1>
    <div class="plates">
      <section class="plate">
        <h2>Where you cook</h2>
        <label class="labelled">
          <span>Name of the kitchen</span>
          <input v-model="name" class="field" maxlength="200" data-field="kitchen-name" autocomplete="off" />
        </label>
        <AltitudeFinder v-model="altitude" :problem="problems.altitude" />
        <p v-if="!altitude.trim()" class="missing">Until the altitude is set, no time is given.</p>
      </section>

      <section class="plate">
        <h2>How you measure</h2>
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
        <p class="hint">You may type either, anywhere: this is how amounts are shown.</p>
      </section>

      <section v-if="catalogue" class="plate">
        <h2>The jars and pots you have</h2>
        <p class="hint">
          They stand first in the sentence, and ways out are offered in them. None ticked: all of your units.
        </p>
        <JarsChoice v-model="jars" :catalogue="catalogue" :units="units" />
        <div class="links">
          <RouterLink :to="{ name: 'stock' }" class="key link" data-stock-link>Count them</RouterLink>
          <RouterLink :to="{ name: 'pots' }" class="key link" data-pots-link>Pots and burners</RouterLink>
        </div>
      </section>

      <section class="plate">
        <h2>Your ways and your times</h2>
        <p class="hint">
          Raw or hot, how sweet, how jars are kept hot: cooks differ. Choose, and read what there is to say.
        </p>
        <RouterLink :to="{ name: 'schools' }" class="key link" data-schools-link
          >Where cooks differ</RouterLink
        >
        <p class="hint below">Every tested time, to be checked against your printed guide.</p>
        <RouterLink :to="{ name: 'tables' }" class="key link" data-tables-link>The tested times</RouterLink>
        <p class="hint below">What is not there may be canned by a published source of your own.</p>
        <RouterLink :to="{ name: 'sources' }" class="key link">Own sources</RouterLink>
        <p class="hint below">Everything that is kept, out of here and in; and backups.</p>
        <RouterLink :to="{ name: 'files' }" class="key link" data-files-link>In and out</RouterLink>
      </section>

      <DevicePlate />
    </div>
    <p v-if="problems.all || problems.units || problems.name || problems.jars" class="problem" role="alert">
      {{ problems.all || problems.units || problems.name || problems.jars }}
    </p>
    <footer class="foot">
      <p role="status">{{ said }}</p>
      <button type="submit" class="key key-main" data-save :disabled="!changed">Save the kitchen</button>
    </footer>
  </form>
</template>

<style scoped>
.kitchen {
  padding-bottom: 92px;
}
h1 {
  margin: 4px 0 12px;
  font-size: 1.7rem;
}
.plates {
  columns: 3 340px;
  column-gap: 14px;
}
.plates > section {
  break-inside: avoid;
  margin-bottom: 14px;
}
.links {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.link {
  display: inline-flex;
  align-items: center;
  text-decoration: none;
}
.below {
  margin-top: 12px;
}
.missing {
  margin: 0;
  font-weight: 700;
  color: var(--color-wait);
}
.problem {
  font-weight: 600;
}
fieldset {
  border: 0;
  margin: 0 0 6px;
  padding: 0;
}
</style>
