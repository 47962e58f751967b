<script setup lang="ts">
import { reactive, ref } from 'vue'
import { usePotChanges } from '@/api/pots'
import { useProblems } from '@/parts/problems'

const emit = defineEmits<{ kept: [name: string] }>()
const { keepBurner } = usePotChanges()
const empty = {
  name: '',
  kind: 'gas' as 'gas' | 'coil' | 'induction',
  across: '',
  outdoors: false,
  glassTop: false,
}
const fields = reactive({ ...empty })
const watts = ref('')
const { problems, trying } = useProblems()

async function save() {
  await trying(async () => {
    await keepBurner.mutateAsync({ fields: { ...fields, watts: Number(watts.value) || 0 } })
    emit('kept', fields.name)
    Object.assign(fields, empty)
    watts.value = ''
  })
}
</script>

<template>
  <form class="plate" aria-label="Burner" @submit.prevent="save">
    <h2>Add a burner</h2>
    <p v-for="(text, field) in problems" :key="field" class="problem" role="alert">
      {{ field === 'watts' ? 'Watts: 200 to 40,000, as its plate or its book says.' : text }}
    </p>
    <div class="grid">
      <label
        >Its name<input
          v-model="fields.name"
          class="field"
          placeholder="front left"
          data-field="burner-name"
          maxlength="80"
      /></label>
      <label
        >Watts<input
          v-model="watts"
          class="field"
          inputmode="numeric"
          placeholder="3500"
          data-field="burner-watts"
      /></label>
      <label>
        It heats by
        <select v-model="fields.kind" class="field">
          <option value="gas">gas</option>
          <option value="coil">a coil or plate</option>
          <option value="induction">induction</option>
        </select>
      </label>
      <label>Across<input v-model="fields.across" class="field" placeholder="9 in" /></label>
      <label class="choice-row"
        ><input v-model="fields.outdoors" type="checkbox" /> outdoors, on propane</label
      >
      <label class="choice-row"><input v-model="fields.glassTop" type="checkbox" /> under a glass top</label>
    </div>
    <div class="keys"><button type="submit" class="key" data-keep-burner>Keep this burner</button></div>
  </form>
</template>

<style scoped src="@/parts/form.css"></style>
