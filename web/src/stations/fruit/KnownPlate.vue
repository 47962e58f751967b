<script setup lang="ts">
import { reactive, ref } from 'vue'
import { Problem } from '@/api/client'
import { useFruitChanges, type Fruit } from '@/api/fruit'

/** Containers that were weighed once, and what the cook knows of varieties. */
const props = defineProps<{ fruit: Fruit }>()
const { keepContainer, keepVariety } = useFruitChanges()
const container = reactive({ name: '', kind: 'apple', weight: '' })
const variety = reactive({ kind: 'apple', name: '', tart: 5, texture: '', months: '', note: '' })
const problem = ref('')
const nameOf = (kind: string) => props.fruit.kinds.find((k) => k.id === kind)?.name ?? kind

async function attempt(what: () => Promise<unknown>) {
  problem.value = ''
  try {
    await what()
  } catch (e) {
    problem.value = e instanceof Problem ? Object.values(e.fields).join(' ') || e.message : String(e)
  }
}
const addContainer = () =>
  attempt(async () => {
    await keepContainer.mutateAsync({ ...container })
    Object.assign(container, { name: '', weight: '' })
  })
const addVariety = () =>
  attempt(async () => {
    await keepVariety.mutateAsync({ ...variety, tart: Number(variety.tart) })
    Object.assign(variety, { name: '', texture: '', months: '', note: '' })
  })
const taste = (tart: number) =>
  tart <= 2
    ? 'sweet'
    : tart <= 4
      ? 'mild'
      : tart <= 6
        ? 'between sweet and tart'
        : tart <= 8
          ? 'tart'
          : 'sharp'
</script>

<template>
  <section class="plate" aria-label="Containers and varieties">
    <h2>Containers you weighed once</h2>
    <p v-for="c in fruit.containers" :key="c.name + c.kind">
      <strong>{{ c.name }}</strong> of {{ nameOf(c.kind) }}: {{ c.weight }}
    </p>
    <form class="row" aria-label="Container" @submit.prevent="addContainer">
      <label>Its name<input v-model="container.name" class="field" placeholder="green pail" /></label>
      <label
        >of
        <select v-model="container.kind" class="field">
          <option v-for="k in fruit.kinds" :key="k.id" :value="k.id">{{ k.name }}</option>
        </select></label
      >
      <label>weighs<input v-model="container.weight" class="field" placeholder="11 lb" /></label>
      <button type="submit" class="key">Keep</button>
    </form>
    <h2>Varieties you know</h2>
    <p v-for="v in fruit.varieties" :key="v.kind + v.name">
      <strong>{{ v.name }}</strong>, {{ nameOf(v.kind) }}: {{ taste(v.tart)
      }}<template v-if="v.texture">, {{ v.texture }}</template
      ><template v-if="v.months">, {{ v.months }}</template
      ><template v-if="v.note">. {{ v.note }}</template>
    </p>
    <form class="row" aria-label="Variety" @submit.prevent="addVariety">
      <label>Its name<input v-model="variety.name" class="field" /></label>
      <label
        >Fruit
        <select v-model="variety.kind" class="field">
          <option v-for="k in fruit.kinds" :key="k.id" :value="k.id">{{ k.name }}</option>
        </select></label
      >
      <label
        >Sweet to tart<input v-model="variety.tart" type="range" min="0" max="10" class="field range"
      /></label>
      <label>Texture<input v-model="variety.texture" class="field" placeholder="holds its shape" /></label>
      <label>Months<input v-model="variety.months" class="field" placeholder="Sep to Oct" /></label>
      <label>Note<input v-model="variety.note" class="field" /></label>
      <button type="submit" class="key">Keep</button>
    </form>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped>
p {
  margin: 0 0 4px;
  line-height: 1.3;
}
.row {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 8px;
  align-items: end;
  margin: 4px 0 12px;
}
label {
  font-weight: 600;
  line-height: 1.2;
}
.field {
  display: block;
  width: 100%;
  font-weight: 400;
}
.range {
  padding: 0;
  border: 0;
  accent-color: var(--color-rim);
}
</style>
