<script setup lang="ts">
import { computed, reactive, watch } from 'vue'
import { useDayChanges, type Day, type DayFields } from '@/api/day'
import { useProblems } from '@/parts/problems'

/** Who is there and when, with breaks; burners and pots; when it begins and is to be done. */
const props = defineProps<{ day: Day }>()
const date = computed(() => props.day.date)
const { set } = useDayChanges(date)
const { problems, trying } = useProblems()
const copy = (f: DayFields): DayFields => JSON.parse(JSON.stringify(f)) as DayFields
const fields = reactive<DayFields>(copy(props.day.fields))
watch(
  () => [props.day.date, JSON.stringify(props.day.fields)],
  () => Object.assign(fields, copy(props.day.fields)),
)
const save = () =>
  trying(() =>
    set.mutateAsync({ ...fields, burners: Number(fields.burners) || 0, pots: Number(fields.pots) || 0 }),
  )
const another = () =>
  fields.cooks.push({
    name: '',
    from: fields.cooks[0]?.from ?? '8:00',
    to: fields.cooks[0]?.to ?? '18:00',
    breaks: [],
  })
const wrong = (field: string) => problems.value[field]
</script>

<template>
  <form class="plate" aria-label="Who is there" data-who @submit.prevent="save">
    <h2>Who and what is there</h2>
    <p v-for="(text, field) in problems" :key="field" class="problem" role="alert" :data-problem="field">
      {{ text }}
    </p>
    <div class="top">
      <label
        >Begin<input
          v-model="fields.begin"
          class="field"
          size="6"
          data-field="day-begin"
          :aria-invalid="!!wrong('begin')"
      /></label>
      <label
        >Done by<input v-model="fields.by" class="field" size="6" placeholder="no hour" data-field="day-by"
      /></label>
      <label
        >Quiet from<input
          v-model="fields.late"
          class="field"
          size="6"
          placeholder="no hour"
          data-field="day-late"
      /></label>
      <label
        >Burners<input
          v-model="fields.burners"
          class="field"
          type="number"
          min="1"
          max="12"
          data-field="day-burners"
      /></label>
      <label
        >Big pots<input
          v-model="fields.pots"
          class="field"
          type="number"
          min="0"
          max="12"
          data-field="day-pots"
      /></label>
    </div>
    <fieldset v-for="(c, i) in fields.cooks" :key="i" :data-cook="i">
      <legend class="heard">{{ c.name || 'A pair of hands' }}</legend>
      <label class="name"
        >Cook<input v-model="c.name" class="field" maxlength="60" :data-field="`cook-${i}-name`"
      /></label>
      <label>from<input v-model="c.from" class="field" size="6" :data-field="`cook-${i}-from`" /></label>
      <label>to<input v-model="c.to" class="field" size="6" :data-field="`cook-${i}-to`" /></label>
      <template v-for="(b, n) in c.breaks" :key="n">
        <label
          >break from<input v-model="b.from" class="field" size="6" :data-field="`cook-${i}-break-${n}-from`"
        /></label>
        <label
          >to<input v-model="b.to" class="field" size="6" :data-field="`cook-${i}-break-${n}-to`"
        /></label>
        <button
          type="button"
          class="key"
          :aria-label="`No break for ${c.name}`"
          @click="c.breaks.splice(n, 1)"
        >
          No break
        </button>
      </template>
      <button
        type="button"
        class="key"
        :data-add-break="i"
        @click="c.breaks.push({ from: '12:00', to: '12:30' })"
      >
        + break
      </button>
      <button
        v-if="fields.cooks.length > 1"
        type="button"
        class="key"
        :aria-label="`${c.name} is not there`"
        @click="fields.cooks.splice(i, 1)"
      >
        Not there
      </button>
    </fieldset>
    <div class="keys">
      <button type="button" class="key" data-add-cook @click="another">+ someone who helps</button>
      <button type="submit" class="key key-main" :disabled="set.isPending.value" data-keep-day>
        Keep, and plan
      </button>
    </div>
  </form>
</template>

<style scoped>
label {
  font-weight: 600;
  line-height: 1.2;
}
.field {
  display: block;
  width: 100%;
  font-weight: 400;
}
.top {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(92px, 1fr));
  gap: 8px;
}
fieldset {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 8px;
  align-items: end;
  margin: 10px 0 0;
  padding: 8px 0 0;
  border-top: 1px solid var(--color-line);
}
fieldset label {
  width: 92px;
}
fieldset .name {
  flex: 1 1 130px;
}
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  justify-content: space-between;
  margin-top: 12px;
}
</style>
