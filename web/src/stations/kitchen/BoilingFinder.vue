<script setup lang="ts">
import { ref } from 'vue'
import { altitudeByBoiling } from '@/api/altitude'
import { Problem, type Schemas } from '@/api/client'

/** The altitude from a thermometer in boiling water. */
defineEmits<{ take: [altitude: string] }>()

const at = ref('')
const answer = ref<Schemas['BoilingOutputBody']>()
const problem = ref('')

async function work() {
  problem.value = ''
  try {
    answer.value = await altitudeByBoiling(at.value)
  } catch (e) {
    answer.value = undefined
    problem.value = e instanceof Problem ? Object.values(e.fields)[0] || e.message : String(e)
  }
}
</script>

<template>
  <div>
    <label class="row">
      <span>My thermometer in hard boiling water reads</span>
      <span class="line">
        <input
          v-model="at"
          class="field"
          maxlength="60"
          data-field="boils-at"
          placeholder="205.4 °F or 96.3 °C"
          autocomplete="off"
          @keypress.enter.prevent="work"
        />
        <button type="button" class="key" data-boils @click="work">How high is that?</button>
      </span>
    </label>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <div v-if="answer" class="answer">
      <p data-boils-answer>{{ answer.text }}</p>
      <p>
        That is the column <strong>{{ answer.band }}</strong>.
      </p>
      <button type="button" class="key key-main" data-take @click="$emit('take', answer.altitude)">
        Take {{ answer.altitude }}
      </button>
    </div>
    <p v-else class="hint">Plain water, boiling hard, the tip well under and off the bottom.</p>
  </div>
</template>

<style scoped>
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.field {
  flex: 1 1 160px;
  min-width: 0;
}
.answer p {
  margin: 8px 0;
  line-height: 1.35;
}
</style>
