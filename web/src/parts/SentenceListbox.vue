<script setup lang="ts">
import { Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/vue'
import { CheckIcon, NoSymbolIcon } from '@heroicons/vue/20/solid'
import { computed } from 'vue'

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
          <li class="choice" :class="{ active }" :data-value="o.id">
            <CheckIcon v-if="selected" class="mark" />
            <NoSymbolIcon v-else-if="o.tested === false" class="mark refused" />
            <span v-else class="mark" />
            {{ o.name }}
            <span v-if="o.tested === false" class="refused note">no tested time</span>
          </li>
        </ListboxOption>
      </ListboxOptions>
    </Listbox>
  </span>
</template>

<style scoped>
@import './sentence.css';
</style>
