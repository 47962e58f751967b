<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { usePotChanges, type Burner, type Pot } from '@/api/pots'
import { useProblems } from '@/parts/problems'

/** One pot, new or to be changed. */
const props = defineProps<{ pot?: Pot; burners: Burner[] }>()
const emit = defineEmits<{ kept: [name: string]; left: [] }>()
const { keepPot } = usePotChanges()

const fields = reactive({
  name: props.pot?.name ?? '',
  kind: props.pot?.kind ?? ('boiling-water' as const),
  across: props.pot?.across ?? '',
  length: props.pot?.length ?? '',
  width: props.pot?.width ?? '',
  depth: props.pot?.depth ?? '',
  rack: props.pot?.rack ?? '',
  weight: props.pot?.weight ?? '',
  burner: props.pot?.burner ?? '',
})
const watts = ref(props.pot?.watts ? String(props.pot.watts) : '')
const shape = ref<'round' | 'rectangular'>(props.pot?.length ? 'rectangular' : 'round')
const { problems, trying } = useProblems()
const kinds = [
  { id: 'boiling-water', name: 'a canner for boiling water' },
  { id: 'steam', name: 'an atmospheric steam canner' },
  { id: 'electric', name: 'an electric canner' },
  { id: 'cooking', name: 'a cooking pot' },
] as const
const rows = computed(() => [
  ...(shape.value === 'round'
    ? ([{ id: 'across', name: 'Across, inside', like: '31.5 cm' }] as const)
    : ([
        { id: 'length', name: 'Length, inside', like: '50 cm' },
        { id: 'width', name: 'Width, inside', like: '30 cm' },
      ] as const)),
  { id: 'depth', name: 'Depth, inside', like: '28 cm' } as const,
  ...(fields.kind === 'cooking'
    ? []
    : ([{ id: 'rack', name: 'Height of the rack', like: '1.5 cm' }] as const)),
  { id: 'weight', name: 'Weight, empty', like: '1.8 kg' } as const,
])

async function save() {
  const sent = { ...fields, watts: Number(watts.value) || 0 }
  if (shape.value === 'round') sent.length = sent.width = ''
  else sent.across = ''
  await trying(async () => {
    await keepPot.mutateAsync({ id: props.pot?.id, fields: sent })
    emit('kept', fields.name)
  })
}
</script>

<template>
  <form class="plate" aria-label="Pot" @submit.prevent="save">
    <h2>{{ pot ? `Change ${pot.name}` : 'Add a pot' }}</h2>
    <p v-for="(text, field) in problems" :key="field" class="problem" role="alert" :data-problem="field">
      {{ text }}
    </p>
    <div class="grid">
      <label class="wide"
        >Its name<input
          v-model="fields.name"
          class="field"
          placeholder="the big kettle"
          data-field="pot-name"
          maxlength="80"
      /></label>
      <label class="wide">
        It is
        <select v-model="fields.kind" class="field" data-field="pot-kind">
          <option v-for="k in kinds" :key="k.id" :value="k.id">{{ k.name }}</option>
        </select>
      </label>
      <label class="choice-row"
        ><input v-model="shape" type="radio" value="round" name="shape" /> round</label
      >
      <label class="choice-row"
        ><input v-model="shape" type="radio" value="rectangular" name="shape" /> rectangular</label
      >
      <label v-for="r in rows" :key="r.id"
        >{{ r.name
        }}<input
          v-model="fields[r.id]"
          class="field"
          :placeholder="r.like"
          :data-field="`pot-${r.id}`"
          :aria-invalid="r.id in problems"
      /></label>
      <label v-if="fields.kind === 'electric'"
        >Watts<input v-model="watts" class="field" inputmode="numeric" data-field="pot-watts"
      /></label>
      <label v-else class="wide">
        It stands on
        <select v-model="fields.burner" class="field" data-field="pot-burner">
          <option value="">no burner said</option>
          <option v-for="b in burners" :key="b.id" :value="b.id">{{ b.name }}</option>
        </select>
      </label>
    </div>
    <div class="keys">
      <button v-if="pot" type="button" class="key" @click="$emit('left')">Leave as it was</button>
      <button type="submit" class="key key-main" data-save>
        {{ pot ? 'Save the change' : 'Keep this pot' }}
      </button>
    </div>
  </form>
</template>

<style scoped src="@/parts/form.css"></style>
