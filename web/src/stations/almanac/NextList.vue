<script setup lang="ts">
import { RouterLink } from 'vue-router'
import { useWants } from '@/api/wants'

/** Next year's list: what is wanted less what will be left, with the fruit that it takes by own yields. */
const { data: wants } = useWants()
</script>

<template>
  <section v-if="wants" class="plate" aria-label="Next year's list" data-next-list>
    <h2>Next year's list</h2>
    <p v-if="!wants.next.length" class="quiet">
      Say in <RouterLink :to="{ name: 'wants' }">Wants</RouterLink> what the household eats in a year: then
      this list tells what to put up, when, and how much fruit that takes by your own yields.
    </p>
    <ul>
      <li v-for="n in wants.next" :key="n.name + n.jar">
        <strong>{{ n.text }} of {{ n.name }}</strong>
        <span
          >{{ n.when }}<template v-if="n.fruit">; {{ n.fruit }} of fruit</template></span
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  padding: 6px 0;
  border-top: 1px solid var(--color-line);
  line-height: 1.3;
}
li > * {
  display: block;
}
p {
  margin: 0;
}
</style>
