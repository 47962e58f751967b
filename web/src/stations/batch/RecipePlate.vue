<script setup lang="ts">
import type { Plan, Schemas } from '@/api/client'
import WhyKey from './WhyKey.vue'

defineProps<{ recipe: Schemas['RecipeBody']; plan: Plan }>()
</script>

<template>
  <section class="plate" aria-label="Recipe">
    <WhyKey :plan="plan" about="recipe" />
    <h2>{{ recipe.title }}</h2>
    <p v-if="recipe.scaled" class="quiet">
      {{ recipe.asPrinted ? 'As printed in the guide' : 'Scaled from the printed recipe' }}
    </p>
    <dl v-if="recipe.ingredients.length">
      <template v-for="m in recipe.ingredients" :key="m.name">
        <dt>{{ m.name }}</dt>
        <dd>
          <strong>{{ m.amount }}</strong>
          <span v-if="m.name === recipe.acid" class="never">never less</span>
        </dd>
      </template>
    </dl>
    <p v-for="n in recipe.notes" :key="n" class="note" data-recipe-note>{{ n }}</p>
  </section>
</template>

<style scoped>
p {
  margin: 0 0 4px;
  line-height: 1.2;
}
dl {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 2px 12px;
  margin: 0;
  line-height: 1.3;
}
dd {
  margin: 0;
  text-align: right;
}
.note {
  margin: 6px 0 0;
  line-height: 1.33;
}
.never {
  display: block;
  font-weight: 700;
  color: var(--color-wait);
}
</style>
