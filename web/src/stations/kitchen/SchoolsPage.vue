<script setup lang="ts">
import { HandRaisedIcon } from '@heroicons/vue/24/outline'
import { ref } from 'vue'
import { useChooseSchool, useSchools } from '@/api/schools'

const { data: questions } = useSchools()
const choose = useChooseSchool()
const said = ref('')

async function pick(question: string, choice: string, name: string) {
  await choose.mutateAsync({ question, choice })
  said.value = `${name}: kept.`
}
</script>

<template>
  <div v-if="questions" class="schools" data-schools>
    <h1>Where cooks differ</h1>
    <p class="lead">
      Your choice is kept at once and new batches start from it. A way with a raised hand is not to be chosen;
      beside it stands why, and what to do instead.
    </p>
    <p role="status" class="said">{{ said }}</p>
    <p v-if="choose.isError.value" class="problem" role="alert">{{ choose.error.value?.message }}</p>
    <div class="plates">
      <fieldset v-for="q in questions" :key="q.id" class="plate" :data-question="q.id">
        <legend>{{ q.ask }}</legend>
        <template v-for="o in q.schools" :key="o.id">
          <p v-if="o.refused" class="school refused" :data-refused="o.id">
            <HandRaisedIcon class="icon" /><span
              ><strong>{{ o.name }}</strong
              >. {{ o.reason }}</span
            >
          </p>
          <label v-else class="school">
            <input
              type="radio"
              :name="q.id"
              :value="o.id"
              :checked="q.chosen === o.id"
              :data-school="o.id"
              @change="pick(q.id, o.id, o.name)"
            />
            <span
              ><strong>{{ o.name }}</strong
              >. {{ o.reason }}</span
            >
          </label>
        </template>
      </fieldset>
    </div>
  </div>
</template>

<style scoped>
.schools {
  padding-bottom: 24px;
}
h1 {
  margin: 2px 0 4px;
  font-size: 1.6rem;
}
.lead {
  max-width: 78ch;
  margin: 0;
  line-height: 1.35;
}
.said {
  min-height: 1.4em;
  margin: 0 0 6px;
  color: var(--color-go);
  font-weight: 600;
}
.plates {
  columns: 3 340px;
  column-gap: 14px;
}
fieldset {
  break-inside: avoid;
  width: 100%;
  margin: 0 0 14px;
}
legend {
  float: left;
  width: 100%;
  margin-bottom: 2px;
  font-family: var(--font-title);
  font-weight: 600;
  font-size: 1.06rem;
  color: var(--color-rim-text);
}
.school {
  clear: both;
  display: flex;
  gap: 12px;
  align-items: flex-start;
  min-height: 48px;
  margin: 0;
  padding: 5px 0;
  line-height: 1.35;
}
.school input {
  width: 22px;
  height: 22px;
  margin-top: 1px;
  flex: none;
  accent-color: var(--color-rim);
}
.icon {
  width: 22px;
  flex: none;
}
.refused .icon,
.refused strong {
  color: var(--color-stop);
}
</style>
