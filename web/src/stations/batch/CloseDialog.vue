<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { computed, reactive, watch } from 'vue'
import { type Catalogue, type Kitchen, type Plan } from '@/api/client'
import { useClosingChanges } from '@/api/fruit'
import { useRan } from '@/api/stove'
import { useProblems } from '@/parts/problems'

/** What a batch gave: yields, liquid and minutes are learned from it, and its fruit comes off its lots. */
const props = defineProps<{ id: string; plan: Plan; catalogue: Catalogue; kitchen?: Kitchen }>()
const emit = defineEmits<{ close: []; closed: [] }>()
const { close } = useClosingChanges()

const sizes = computed(() =>
  props.plan.jars?.sizes.length
    ? props.plan.jars.sizes
    : [{ jar: props.plan.jar.id, count: props.plan.jars?.planned ?? 0 }],
)
const own = computed(() => {
  const jars = props.kitchen?.jars ?? []
  return props.catalogue.jars.filter(
    (j) =>
      (jars.length ? jars.includes(j.id) : j.system === props.kitchen?.units) ||
      j.id === props.plan.jar.id ||
      sizes.value.some((s) => s.jar === j.id),
  )
})
const counts = reactive<Record<string, string>>(
  Object.fromEntries(sizes.value.map((s) => [s.jar, String(s.count || '')])),
)
const fields = reactive({ fruit: props.plan.fruit?.text ?? '', liquid: '', left: '', note: '', nextTime: '' })
const steps = reactive({ prepareMinutes: '', cookMinutes: '', fillMinutes: '', boilMinutes: '' })
/** What the stove and the day timed is there to be changed. */
const { data: ran } = useRan(props.id)
watch(ran, (r) => {
  if (!r) return
  for (const step of ['prepareMinutes', 'cookMinutes', 'fillMinutes', 'boilMinutes'] as const)
    if (r[step] && !steps[step]) steps[step] = String(r[step])
})
const stepNames = {
  prepareMinutes: 'Getting the fruit ready',
  cookMinutes: 'Cooking it',
  fillMinutes: 'Filling the jars',
  boilMinutes: 'From jars in to the boil',
}
const { problems, trying } = useProblems()

async function save() {
  await trying(async () => {
    await close.mutateAsync({
      id: props.id,
      fields: {
        jars: own.value.map((j) => ({ jar: j.id, count: Number(counts[j.id]) || 0 })),
        fruit: fields.fruit,
        liquid: fields.liquid,
        liquidLeft: fields.left,
        prepareMinutes: Number(steps.prepareMinutes) || 0,
        cookMinutes: Number(steps.cookMinutes) || 0,
        fillMinutes: Number(steps.fillMinutes) || 0,
        boilMinutes: Number(steps.boilMinutes) || 0,
        note: fields.note,
        nextTime: fields.nextTime,
      },
    })
    emit('closed')
  })
}
</script>

<template>
  <Dialog :open="true" class="cover" @close="$emit('close')">
    <DialogPanel class="plate panel" data-close-dialog>
      <DialogTitle as="h2">What did it give?</DialogTitle>
      <form @submit.prevent="save">
        <p v-if="ran?.text" data-ran>{{ ran.text }}</p>
        <p v-for="(text, field) in problems" :key="field" class="problem" role="alert" :data-problem="field">
          {{ text }}
        </p>
        <fieldset class="grid">
          <legend>Jars filled</legend>
          <label v-for="j in own" :key="j.id"
            >{{ j.many
            }}<input v-model="counts[j.id]" class="field" inputmode="numeric" :data-field="`filled-${j.id}`"
          /></label>
        </fieldset>
        <div class="grid">
          <label
            >{{ plan.madeOf ? `${plan.madeOf} that went in` : 'Fruit that went in'
            }}<input v-model="fields.fruit" class="field" data-field="closed-fruit"
          /></label>
          <label v-if="plan.liquid"
            >Liquid made ready<input
              v-model="fields.liquid"
              class="field"
              placeholder="9 cups, if you measured"
              data-field="closed-liquid"
          /></label>
          <label v-if="plan.liquid"
            >Of it left over<input v-model="fields.left" class="field" data-field="closed-left"
          /></label>
        </div>
        <fieldset class="grid">
          <legend>Minutes, as far as you know them</legend>
          <label v-for="(name, step) in stepNames" :key="step"
            >{{ name }}<input v-model="steps[step]" class="field" inputmode="numeric" :data-field="step"
          /></label>
        </fieldset>
        <label>How it went<input v-model="fields.note" class="field" /></label>
        <label
          >Next time I will<input
            v-model="fields.nextTime"
            class="field"
            maxlength="300"
            placeholder="stands beside the next batch of it"
            data-field="closed-next-time"
        /></label>
        <div class="keys">
          <button type="button" class="key" @click="$emit('close')">Not yet</button>
          <button type="submit" class="key key-main" data-close-batch>Close the batch</button>
        </div>
      </form>
    </DialogPanel>
  </Dialog>
</template>

<style scoped>
.panel {
  width: min(760px, 100%);
  max-height: calc(100dvh - 24px);
  overflow-y: auto;
}
h2 {
  font-size: 1.35rem;
}
fieldset {
  margin: 0 0 8px;
  padding: 0;
  border: 0;
}
legend {
  font-weight: 600;
}
.grid {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 8px 12px;
  align-items: end;
}
.wide {
  grid-column: 1 / -1;
}
label {
  line-height: 1.25;
}
.field {
  display: block;
  width: 100%;
}
.keys {
  display: flex;
  justify-content: flex-end;
  gap: 10px;
  margin-top: 14px;
}
</style>
