<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { RouterLink } from 'vue-router'
import { Problem } from '@/api/client'
import { useKitchen, useSetKitchen } from '@/api/kitchen'
import { lettersOn } from '@/parts/letters'
import { scheme, type Scheme } from '@/parts/scheme'

const { data: kitchen } = useKitchen()
const set = useSetKitchen()

const name = ref('')
const altitude = ref('')
const units = ref<'us' | 'metric'>('us')
const said = ref('')
const problems = ref<Record<string, string>>({})

function show() {
  if (!kitchen.value) return
  name.value = kitchen.value.name
  altitude.value = kitchen.value.altitude
  units.value = kitchen.value.units
}
let filled = false
watch(
  kitchen,
  (k) => {
    if (!k || filled) return
    filled = true
    show()
  },
  { immediate: true },
)

const changed = computed(
  () =>
    !!kitchen.value &&
    (name.value !== kitchen.value.name ||
      altitude.value !== kitchen.value.altitude ||
      units.value !== kitchen.value.units),
)

async function save() {
  if (!kitchen.value) return
  said.value = ''
  problems.value = {}
  try {
    await set.mutateAsync({
      name: name.value,
      altitude: altitude.value,
      units: units.value,
      version: kitchen.value.version,
    })
    show()
    said.value = 'Saved.'
  } catch (e) {
    problems.value =
      e instanceof Problem && Object.keys(e.fields).length ? e.fields : { all: String((e as Error).message) }
  }
}

const schemes: { id: Scheme; name: string }[] = [
  { id: 'light', name: 'Bright, for daylight' },
  { id: 'dim', name: 'Dim, for evenings' },
  { id: 'device', name: 'As this device says' },
]
</script>

<template>
  <form class="kitchen" @submit.prevent="save">
    <h1>Kitchen</h1>
    <div class="plates">
      <section class="plate">
        <h2>Where you cook</h2>
        <label class="row">
          <span>Name of the kitchen</span>
          <input v-model="name" class="field" maxlength="200" data-field="kitchen-name" autocomplete="off" />
        </label>
        <label class="row">
          <span>Altitude</span>
          <input
            v-model="altitude"
            class="field"
            maxlength="200"
            placeholder="3,480 ft or 1 061 m"
            data-field="kitchen-altitude"
            autocomplete="off"
            :aria-invalid="'altitude' in problems"
            aria-describedby="altitude-help"
          />
        </label>
        <p v-if="problems.altitude" class="problem" role="alert">{{ problems.altitude }}</p>
        <p id="altitude-help" class="help">
          Higher up water boils cooler, so jars need longer. Known only roughly? Give the highest it may be.
        </p>
        <p v-if="kitchen?.altitude" class="band" data-band>
          Times are read from the column <strong>{{ kitchen.altitudeBand }}</strong>. Water boils here at
          about <strong>{{ kitchen.boilsAt }}</strong>.
        </p>
        <p v-else-if="kitchen" class="band missing">Until the altitude is set, no time is given.</p>
      </section>

      <section class="plate">
        <h2>How you measure</h2>
        <fieldset>
          <legend class="sr">Units</legend>
          <label class="choice"
            ><input v-model="units" type="radio" value="us" /> Cups, pounds, inches, °F, feet</label
          >
          <label class="choice"
            ><input v-model="units" type="radio" value="metric" /> Litres, grams, centimetres, °C,
            metres</label
          >
        </fieldset>
        <p class="help">You may type either, anywhere: this is how amounts are shown.</p>
      </section>

      <section class="plate">
        <h2>This device</h2>
        <fieldset>
          <legend>Brightness</legend>
          <label v-for="s in schemes" :key="s.id" class="choice">
            <input v-model="scheme" type="radio" :value="s.id" name="scheme" /> {{ s.name }}
          </label>
        </fieldset>
        <label class="choice"
          ><input v-model="lettersOn" type="checkbox" data-field="letters" /> Single letters go to stations
          (b, k)</label
        >
      </section>

      <section class="plate">
        <h2>Where the times come from</h2>
        <p class="help">
          Every tested time, as the guide prints it, with your column marked and a place to tick what you have
          checked.
        </p>
        <RouterLink :to="{ name: 'tables' }" class="key link" data-tables-link>The tested times</RouterLink>
        <p class="help below">What is not there may be canned by a published source of your own.</p>
        <RouterLink :to="{ name: 'sources' }" class="key link">Own sources</RouterLink>
      </section>
    </div>
    <p v-if="problems.all || problems.units || problems.name" class="problem" role="alert">
      {{ problems.all || problems.units || problems.name }}
    </p>
    <footer class="actions">
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
.row {
  display: block;
  margin: 8px 0;
}
.row span {
  display: block;
  font-weight: 600;
}
.row .field {
  width: 100%;
}
.help {
  margin: 4px 0 8px;
  line-height: 1.35;
  color: var(--color-quiet);
}
.band {
  margin: 0;
  line-height: 1.4;
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
  font-weight: 700;
  color: var(--color-wait);
}
.problem {
  color: var(--color-stop);
  font-weight: 600;
  line-height: 1.35;
}
fieldset {
  border: 0;
  margin: 0 0 6px;
  padding: 0;
}
legend {
  font-weight: 600;
}
.choice {
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: 48px;
}
.choice input {
  width: 22px;
  height: 22px;
  accent-color: var(--color-rim);
  flex: none;
}
.sr {
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
}
.actions {
  position: fixed;
  inset: auto 0 0 0;
  display: flex;
  justify-content: flex-end;
  align-items: center;
  gap: 14px;
  padding: 10px 18px;
  background: var(--color-plate);
  border-top: 2px solid var(--color-rim);
}
.actions p {
  margin: 0;
}
</style>
