<script setup lang="ts">
import { ref } from 'vue'
import { useFruit, useFruitChanges, type Lot } from '@/api/fruit'
import KnownPlate from './KnownPlate.vue'
import LearnedPlate from './LearnedPlate.vue'
import LotForm from './LotForm.vue'
import LotPlate from './LotPlate.vue'

const { data: fruit } = useFruit()
const { tap, gone } = useFruitChanges()
const editing = ref<Lot>()
const said = ref('')
const undo = ref<string>()
const round = ref(0)

function kept(name: string) {
  said.value = `${name}: kept. Say how ripe it is.`
  undo.value = undefined
  editing.value = undefined
  round.value++
}
async function away(lot: Lot) {
  await gone.mutateAsync({ id: lot.id, gone: true })
  said.value = `${lot.name} is gone.`
  undo.value = lot.id
}
async function back() {
  if (!undo.value) return
  await gone.mutateAsync({ id: undo.value, gone: false })
  said.value = 'Brought back.'
  undo.value = undefined
}
</script>

<template>
  <div v-if="fruit" class="fruit" data-fruit-station>
    <header>
      <h1>Fruit</h1>
      <p role="status" class="said">
        {{ said }} <button v-if="undo" type="button" class="key" @click="back">Undo</button>
      </p>
    </header>
    <div class="columns">
      <div class="lots">
        <p v-if="!fruit.lots.length" class="plate">
          No fruit is waiting. When some comes in, keep it here: what must be done first stands first, with
          what to make of it as it ripens.
        </p>
        <LotPlate
          v-for="l in fruit.lots"
          :key="l.id"
          :lot="l"
          @tap="tap.mutate({ id: l.id, ripeness: $event })"
          @change="editing = l"
          @gone="away(l)"
        />
      </div>
      <div class="side">
        <LotForm
          :key="`${editing?.id ?? 'new'} ${round}`"
          :lot="editing"
          :fruit="fruit"
          @kept="kept"
          @left="editing = undefined"
        />
        <LearnedPlate />
        <KnownPlate :fruit="fruit" />
      </div>
    </div>
  </div>
</template>

<style scoped>
.fruit {
  padding-bottom: 24px;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 20px;
  min-height: 52px;
}
h1 {
  margin: 0;
  font-size: 1.7rem;
}
.said {
  margin: 0;
  color: var(--color-go);
  font-weight: 600;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1.9fr) minmax(0, 1fr);
  gap: 14px;
  align-items: start;
}
.lots {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 360px), 1fr));
  gap: 14px;
}
.side {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
}
@media (max-width: 1000px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
