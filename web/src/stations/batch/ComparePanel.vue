<script setup lang="ts">
import { computed, ref, toRef } from 'vue'
import type { Liquid } from '@/api/client'
import { useLiquids } from '@/api/liquids'
import BrixScale from '@/drawings/BrixScale.vue'
import PricesForm from './PricesForm.vue'
import type { Sentence } from './sentence'

/** Every liquid on one scale of °Brix, beside the fruit's own. */
const props = defineProps<{ sentence: Sentence; tint: string }>()
defineEmits<{ choose: [liquid: Liquid] }>()

const typed = ref('')
const fruitBrix = computed(() => {
  const n = Number(typed.value.replace(',', '.'))
  return n > 0 && n <= 40 ? n : 0
})
const { data: liquids, error } = useLiquids(toRef(props.sentence, 'request'), fruitBrix)
const most = computed(() => Math.max(40, ...(liquids.value?.choices ?? []).map((c) => c.brix ?? 0)))
</script>

<template>
  <p v-if="error" class="problem" role="alert">
    {{ Object.values(error.fields).join(' ') || error.message }}
  </p>
  <p v-else-if="liquids && !liquids.choices.length">
    This product brings its own liquid, or the sentence does not say yet how many jars there are.
  </p>
  <template v-else-if="liquids">
    <div class="lead">
      <p>
        For {{ liquids.jars }}. How sweet it is makes no difference to safety in plain fruit. The bar is what
        goes into the jar<span class="key-drop" />, the coloured mark
        <span class="key-jar" :style="{ background: tint }" /> what fruit and liquid come to in about two
        weeks; the broken line is the fruit by itself.
      </p>
      <label
        >The fruit reads
        <input
          v-model="typed"
          class="field brix"
          inputmode="decimal"
          data-field="fruit-brix"
          :placeholder="liquids.fruitBrix === null ? '?' : String(liquids.fruitBrix)"
        />
        °Brix</label
      >
    </div>
    <table>
      <thead>
        <tr>
          <th scope="col">liquid</th>
          <th scope="col" class="wide">0 to {{ most }} °Brix</th>
          <th scope="col" class="n">into the jar</th>
          <th scope="col" class="n">after 2 weeks</th>
          <th scope="col" class="n">sugar a serving</th>
          <th scope="col" class="n">cost</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="c in liquids.choices" :key="c.name" :class="{ chosen: c.chosen }" data-liquid>
          <th scope="row">
            <button
              type="button"
              class="pick"
              :aria-pressed="c.chosen"
              :data-pick="c.name"
              @click="$emit('choose', c.liquid)"
            >
              {{ c.name }}<span v-if="c.chosen" class="now">, now</span>
            </button>
          </th>
          <td class="wide">
            <BrixScale
              :brix="c.brix"
              :about="c.about"
              :cut-out="c.cutOut"
              :fruit="liquids.fruitBrix"
              :most="most"
              :tint="tint"
            />
          </td>
          <td class="n">{{ c.brix === null ? 'not known' : `${c.about ? 'about ' : ''}${c.brix}` }}</td>
          <td class="n">{{ c.cutOut ?? '–' }}</td>
          <td class="n">{{ c.serving || '–' }}</td>
          <td class="n">{{ c.cost || '–' }}</td>
        </tr>
      </tbody>
    </table>
    <p class="quiet small">
      A serving is half a cup of what is in the jar; its sugar is what the liquid brings, the fruit’s own is
      not counted.
      <template v-if="liquids.fruitBrix === null">
        For this fruit there is no usual figure: read a drop of its juice and type it above.
      </template>
    </p>
    <PricesForm />
  </template>
</template>

<style scoped>
.lead {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
  align-items: center;
  justify-content: space-between;
}
.lead p {
  flex: 1 1 420px;
  margin: 0;
  line-height: 1.35;
}
.brix {
  width: 84px;
}
.key-drop,
.key-jar {
  display: inline-block;
  width: 6px;
  height: 16px;
  margin: 0 4px;
  border-radius: 2px;
  background: var(--color-rim);
  vertical-align: -2px;
}
.key-jar {
  width: 10px;
  height: 13px;
  border: 1.5px solid var(--color-rim);
}
table {
  width: 100%;
  border-collapse: collapse;
  line-height: 1.25;
}
th,
td {
  padding: 0 8px;
  text-align: left;
  font-weight: 400;
  border-top: 1px solid var(--color-line);
}
thead th {
  border: 0;
  font-size: 0.86rem;
  color: var(--color-quiet);
}
.wide {
  width: 32%;
}
.n {
  text-align: right;
  white-space: nowrap;
}
.pick {
  min-height: 48px;
  text-align: left;
  line-height: 1.2;
  color: var(--color-rim-text);
  text-decoration: underline;
  text-underline-offset: 3px;
}
.pick::first-letter {
  text-transform: uppercase;
}
.chosen {
  background: var(--color-wash);
}
.chosen .pick,
.chosen td {
  font-weight: 700;
}
.small {
  margin: 6px 0;
  line-height: 1.3;
}
.problem {
  color: var(--color-stop);
}
@media (max-width: 760px) {
  thead {
    display: none;
  }
  tr {
    display: grid;
    grid-template-columns: 1fr auto;
    border-top: 1px solid var(--color-line);
  }
  th,
  td {
    border: 0;
    padding: 0 4px;
  }
  .wide {
    grid-column: 1 / -1;
    grid-row: 2;
    width: auto;
  }
  td.n:nth-child(n + 4) {
    display: none;
  }
  td.n:nth-child(3)::after {
    content: ' °Brix';
  }
  td.n {
    align-self: center;
  }
}
</style>
