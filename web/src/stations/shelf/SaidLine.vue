<script setup lang="ts">
import { ref, watch } from 'vue'
import { useShelfChanges, type JarPage } from '@/api/shelf'
import { useProblems } from '@/parts/problems'

/** What was just done with a jar, and the key that takes it back. */
const props = defineProps<{ jar?: JarPage; act?: string }>()
const { tell } = useShelfChanges()
const { problems, trying } = useProblems()
const back = ref(false)
watch(
  () => [props.jar, props.act],
  () => (back.value = false),
)
const undo = (jar: JarPage) =>
  trying(async () => {
    await tell.mutateAsync({ id: jar.id, fields: { act: 'undone', last: jar.undo } })
    back.value = true
  })
</script>

<template>
  <p role="status" class="said" data-said>
    <template v-if="jar && back">{{ jar.what }}: taken back.</template>
    <template v-else-if="jar">
      {{ jar.what }}, jar {{ jar.id }}: {{ jar.text }}.
      <button v-if="jar.undo" type="button" class="key" data-undo @click="undo(jar)">Undo</button>
    </template>
    <span v-for="(text, field) in problems" :key="field" class="problem">{{ text }}</span>
  </p>
</template>

<style scoped>
.said {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: center;
  margin: 0;
  font-weight: 600;
  color: var(--color-go);
}
.said::first-letter {
  text-transform: uppercase;
}
</style>
