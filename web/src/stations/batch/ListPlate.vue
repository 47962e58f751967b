<script setup lang="ts">
/** Lines to do or to know, in order or not. */
defineProps<{ title: string; lines: string[]; ordered?: boolean; lead?: string }>()
</script>

<template>
  <section v-if="lines.length" class="plate" :aria-label="title">
    <h2>{{ title }}</h2>
    <p v-if="lead" class="quiet" data-lead>{{ lead }}</p>
    <component :is="ordered ? 'ol' : 'ul'">
      <li v-for="line in lines" :key="line">{{ line }}</li>
    </component>
  </section>
</template>

<style scoped>
p {
  margin: 0 0 4px;
  line-height: 1.33;
}
ul,
ol {
  margin: 0;
  padding-left: 20px;
  line-height: 1.36;
}
ul {
  list-style: disc;
}
ol {
  list-style: decimal;
}
li {
  margin-bottom: 4px;
}
</style>
