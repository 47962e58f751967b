<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
import { ref, watch } from 'vue'

const props = defineProps<{
  label: string
  modelValue: string
  wrong?: boolean
  field?: string
  decimal?: boolean
  unsaid?: string
}>()
const emit = defineEmits<{ 'update:modelValue': [text: string]; typing: [] }>()

const text = ref(props.modelValue)
watch(
  () => props.modelValue,
  (v) => {
    if (v !== text.value.trim()) text.value = v
  },
)

function settle() {
  if (text.value.trim() !== props.modelValue) emit('update:modelValue', text.value.trim())
}
// Long enough to finish a unit, short enough to feel at once.
const settleSoon = useDebounceFn(settle, 350)

function typed() {
  emit('typing')
  void settleSoon()
}
</script>

<template>
  <input
    v-model="text"
    class="word input"
    :class="{ wrong }"
    type="text"
    :inputmode="decimal ? 'decimal' : undefined"
    autocomplete="off"
    spellcheck="false"
    maxlength="200"
    :placeholder="unsaid"
    :size="Math.max(text.length, unsaid?.length ?? 0, 3)"
    :aria-label="label"
    :aria-invalid="wrong"
    :data-field="field"
    @input="typed"
    @change="settle"
    @keydown.enter.prevent="settle"
  />
</template>

<style scoped>
@import './sentence.css';
.input {
  field-sizing: content;
  min-width: 3.2ch;
  max-width: 100%;
}
</style>
