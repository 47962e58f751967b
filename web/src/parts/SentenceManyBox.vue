<script setup lang="ts">
import { Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/vue'
import { computed } from 'vue'
import SentenceOption from './SentenceOption.vue'
import type { Option } from './SentenceListbox.vue'

/** Any number of choices, joined by commas; none is a choice too. */
const props = defineProps<{
  label: string
  options: Option[]
  modelValue: string
  none: string
  field?: string
  note?: string
}>()
defineEmits<{ 'update:modelValue': [ids: string] }>()

const chosen = computed(() => props.modelValue.split(',').filter(Boolean))
const shown = computed(
  () =>
    props.options
      .filter((o) => chosen.value.includes(o.id))
      .map((o) => o.name)
      .join(', ') || props.none,
)
</script>

<template>
  <span class="box">
    <Listbox
      :model-value="chosen"
      multiple
      @update:model-value="$emit('update:modelValue', $event.join(','))"
    >
      <ListboxButton class="word" :aria-label="`${label}: ${shown}`" :data-field="field">{{
        shown
      }}</ListboxButton>
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
            :note="note ?? 'on opening'"
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
