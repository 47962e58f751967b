<script setup lang="ts">
import { Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/vue'
import { computed } from 'vue'
import SentenceOption from './SentenceOption.vue'

export interface Option {
  id: string
  name: string
  tested?: boolean
}

const props = defineProps<{
  label: string
  options: Option[]
  modelValue: string
  unsaid?: string
  field?: string
}>()
defineEmits<{ 'update:modelValue': [id: string] }>()

const shown = computed(
  () => props.options.find((o) => o.id === props.modelValue)?.name ?? props.unsaid ?? 'choose',
)
</script>

<template>
  <span class="box">
    <Listbox :model-value="modelValue" @update:model-value="$emit('update:modelValue', $event)">
      <ListboxButton
        class="word"
        :class="{ unsaid: !options.some((o) => o.id === modelValue) }"
        :aria-label="`${label}: ${shown}`"
        :data-field="field"
      >
        {{ shown }}
      </ListboxButton>
      <ListboxOptions class="choices" :aria-label="label">
        <ListboxOption
          v-for="o in options"
          :key="o.id"
          v-slot="{ active, selected }"
          :value="o.id"
          as="template"
        >
          <SentenceOption
            :value="o.id"
            :active="active"
            :selected="selected"
            :refused="o.tested === false"
            note="no tested time"
          >
            {{ o.name }}
          </SentenceOption>
        </ListboxOption>
      </ListboxOptions>
    </Listbox>
  </span>
</template>

<style scoped>
@import './sentence.css';
</style>
