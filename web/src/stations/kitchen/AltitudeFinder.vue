<script setup lang="ts">
import { refDebounced } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useAltitude } from '@/api/altitude'
import BoilingFinder from './BoilingFinder.vue'
import PlaceFinder from './PlaceFinder.vue'

/** The altitude of the kitchen, typed or found, with the column it means. */
const altitude = defineModel<string>({ required: true })
const props = defineProps<{ problem?: string }>()

const way = ref<'typed' | 'place' | 'boiling'>('typed')
const ways = [
  { id: 'typed', name: 'I know it' },
  { id: 'place', name: 'By a place' },
  { id: 'boiling', name: 'By boiling water' },
] as const
const settled = refDebounced(altitude, 350)
const { data: found, error } = useAltitude(settled)
const wrong = computed(
  () => props.problem || (settled.value.trim() && error.value ? Object.values(error.value.fields)[0] : ''),
)

function take(found: string) {
  altitude.value = found
  way.value = 'typed'
}
</script>

<template>
  <div class="finder">
    <div class="ways" role="group" aria-label="How to find the altitude">
      <button
        v-for="w in ways"
        :key="w.id"
        type="button"
        class="key way"
        :class="{ 'key-main': way === w.id }"
        :aria-pressed="way === w.id"
        :data-way="w.id"
        @click="way = w.id"
      >
        {{ w.name }}
      </button>
    </div>
    <template v-if="way === 'typed'">
      <label class="labelled">
        <span>Altitude</span>
        <input
          v-model="altitude"
          class="field"
          maxlength="200"
          placeholder="3,480 ft or 1 061 m"
          data-field="kitchen-altitude"
          autocomplete="off"
          :aria-invalid="!!wrong"
          aria-describedby="altitude-help"
          @keypress.enter.prevent
        />
      </label>
      <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
      <p id="altitude-help" class="hint">
        Higher up water boils cooler, so jars need longer. Known only roughly? Give the highest it may be.
      </p>
      <div v-if="found && altitude.trim() && !wrong" class="band" data-band>
        Times are read from the column <strong>{{ found.band }}</strong>. Water boils there at about
        <strong>{{ found.boilsAt }}</strong>.
        <div v-if="found.near" class="near">
          {{ found.near }}
          <button type="button" class="key" data-cautious @click="take(found.cautious)">
            Take {{ found.cautious }}
          </button>
        </div>
      </div>
    </template>
    <PlaceFinder v-else-if="way === 'place'" @take="take" />
    <BoilingFinder v-else @take="take" />
  </div>
</template>

<style scoped>
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 2px 0 8px;
}
.way {
  padding: 4px 10px;
  font-size: 0.95rem;
}
.band {
  line-height: 1.4;
}
.near {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  margin-top: 6px;
  color: var(--color-wait);
  font-weight: 600;
}
.problem {
  margin: 4px 0;
  font-weight: 600;
}
</style>
