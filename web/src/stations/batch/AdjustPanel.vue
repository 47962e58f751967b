<script setup lang="ts">
import { reactive, ref } from 'vue'
import { adjust, type Adjusted } from '@/api/liquids'
import { useProblems } from '@/parts/problems'
import type { Sentence } from './sentence'

/** A syrup that is there, brought to the strength that is wanted. */
const props = defineProps<{ sentence: Sentence }>()

const by = ref<'reading' | 'recipe'>('reading')
const read = reactive({ have: '', reading: '', at: '' })
const put = reactive({ have: '', water: '', sugar: '', brown: '', honey: '', corn: '' })
const want = ref(String(props.sentence.liquid?.brix || 30))
const need = ref('')
const answer = ref<Adjusted>()
const { problems, trying } = useProblems()

const parts = [
  { id: 'water', name: 'Water', like: '4 cups' },
  { id: 'sugar', name: 'Sugar', like: '1 cup' },
  { id: 'brown', name: 'Brown sugar, packed', like: '' },
  { id: 'honey', name: 'Honey', like: '' },
  { id: 'corn', name: 'Light corn syrup', like: '' },
] as const

async function work() {
  const understood = await trying(async () => {
    answer.value = await adjust({
      ...(by.value === 'reading' ? read : put),
      want: want.value,
      need: need.value,
    })
  })
  if (!understood) answer.value = undefined
}
</script>

<template>
  <form class="adjust" @submit.prevent="work">
    <div class="ask">
      <fieldset class="ways">
        <legend>How strong is it?</legend>
        <label class="choice"
          ><input v-model="by" type="radio" value="reading" name="by" /> I read it with a refractometer</label
        >
        <label class="choice"
          ><input v-model="by" type="radio" value="recipe" name="by" /> I know what was put in</label
        >
      </fieldset>
      <template v-if="by === 'reading'">
        <div class="row">
          <label
            >I have<input v-model="read.have" class="field" data-field="adjust-have" placeholder="1.3 l"
          /></label>
          <label
            >It reads, °Brix<input
              v-model="read.reading"
              class="field"
              inputmode="decimal"
              data-field="adjust-reading"
              placeholder="20"
          /></label>
          <label
            >With the prism at<input
              v-model="read.at"
              class="field"
              data-field="adjust-at"
              placeholder="20 °C"
          /></label>
        </div>
      </template>
      <div v-else class="row">
        <label v-for="p in parts" :key="p.id"
          >{{ p.name
          }}<input v-model="put[p.id]" class="field" :data-field="`adjust-${p.id}`" :placeholder="p.like"
        /></label>
        <label
          >Left of it, if not all<input v-model="put.have" class="field" data-field="adjust-left"
        /></label>
      </div>
      <div class="row">
        <label
          >I want, °Brix<input v-model="want" class="field" inputmode="decimal" data-field="adjust-want"
        /></label>
        <label
          >I need in all, if more or less<input
            v-model="need"
            class="field"
            data-field="adjust-need"
            placeholder="2.5 l"
        /></label>
        <button type="submit" class="key key-main go" data-adjust>What to do</button>
      </div>
    </div>
    <div class="answer" role="status">
      <p v-for="(text, field) in problems" :key="field" class="problem" :data-problem="field">{{ text }}</p>
      <template v-if="answer">
        <p data-adjusted-is>{{ answer.is }}</p>
        <p class="do">{{ answer.do }}</p>
        <p v-for="m in answer.stir" :key="m.name" class="stir" data-adjusted-stir>
          <strong>{{ m.amount }}</strong> of {{ m.name }} <span class="quiet">{{ m.beside }}</span>
        </p>
        <p>{{ answer.gives }}</p>
        <p v-if="answer.why" class="quiet">Why: {{ answer.why }}</p>
        <p v-if="answer.beside" data-adjusted-beside>{{ answer.beside }}</p>
        <p v-for="m in answer.fresh" :key="m.name">
          <strong>{{ m.amount }}</strong> of {{ m.name }} <span class="quiet">{{ m.beside }}</span>
        </p>
      </template>
      <p v-else-if="!Object.keys(problems).length" class="quiet">
        Left over from the last load, or come out too thin: say how much there is and how strong. Let a drop
        cool to the warmth of the room before you read it.
      </p>
    </div>
  </form>
</template>

<style scoped>
.adjust {
  display: grid;
  grid-template-columns: minmax(0, 1.3fr) minmax(0, 1fr);
  gap: 8px 28px;
}
.row {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 8px 12px;
  align-items: end;
  margin: 8px 0;
}
label {
  font-weight: 600;
  line-height: 1.25;
}
.field {
  display: block;
  width: 100%;
  font-weight: 400;
}
.ways {
  margin: 0;
  padding: 0;
  border: 0;
}
legend {
  font-weight: 600;
}
.choice {
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: 48px;
  font-weight: 400;
}
.choice input {
  width: 22px;
  height: 22px;
  accent-color: var(--color-rim);
}
.answer p {
  margin: 0 0 8px;
  line-height: 1.4;
}
.do {
  font-weight: 600;
}
.stir strong {
  font-size: 2rem;
  line-height: 1.1;
}
.problem {
  color: var(--color-stop);
}
@media (max-width: 760px) {
  .adjust {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
