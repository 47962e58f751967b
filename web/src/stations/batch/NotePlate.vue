<script setup lang="ts">
const note = defineModel<string>({ required: true })
</script>

<template>
  <section class="plate" aria-label="Note">
    <h2><label for="note">A note on this batch</label></h2>
    <textarea id="note" v-model="note" class="field" rows="2" maxlength="2000" data-field="note"></textarea>
  </section>
</template>

<style scoped>
.field {
  display: block;
  width: 100%;
  resize: vertical;
  line-height: 1.35;
}
</style>
