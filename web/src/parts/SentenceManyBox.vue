<script setup lang="ts">
import { Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/vue'
import { CheckIcon, NoSymbolIcon } from '@heroicons/vue/20/solid'
import { computed } from 'vue'
import type { Option } from './SentenceListbox.vue'

/** Any number of choices, joined by commas; none is a choice too. */
const props = defineProps<{
  label: string
  options: Option[]
  modelValue: string
  none: string
  field?: string
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
          <li class="choice" :class="{ active }" :data-value="o.id">
            <CheckIcon v-if="selected" class="mark" />
            <NoSymbolIcon v-else-if="o.tested === false" class="mark refused" />
            <span v-else class="mark" />
            {{ o.name }}
            <span v-if="o.tested === false" class="refused note">on opening</span>
          </li>
        </ListboxOption>
      </ListboxOptions>
    </Listbox>
  </span>
</template>

<style scoped>
@import './sentence.css';
</style>
