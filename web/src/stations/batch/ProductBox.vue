<script setup lang="ts">
import { Combobox, ComboboxButton, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/vue'
import { BookOpenIcon, ChevronDownIcon } from '@heroicons/vue/20/solid'
import { computed, ref } from 'vue'
import type { Product } from '@/api/client'
import type { OwnSource } from '@/api/sources'
import SentenceOption from '@/parts/SentenceOption.vue'

const props = defineProps<{
  products: Product[]
  sources: OwnSource[]
  modelValue: string
  wrong?: boolean
}>()
const emit = defineEmits<{ 'update:modelValue': [id: string]; source: [id: string, name: string] }>()

const search = ref('')
const own = (id: string) => props.sources.find((s) => `own:${s.id}` === id)
const name = (id: string) => own(id)?.name ?? props.products.find((p) => p.id === id)?.name ?? id

const groups = computed(() => {
  const wanted = search.value.trim().toLowerCase()
  const found = new Map<string, Product[]>()
  for (const p of props.products) {
    if (wanted && !p.name.toLowerCase().includes(wanted) && !p.id.includes(wanted)) continue
    found.set(p.group, [...(found.get(p.group) ?? []), p])
  }
  return [...found]
})

/** Own sources in use, and the one that is picked even if it was retired since. */
const ownFound = computed(() => {
  const wanted = search.value.trim().toLowerCase()
  return props.sources.filter(
    (s) => (!s.retired || `own:${s.id}` === props.modelValue) && s.name.toLowerCase().includes(wanted),
  )
})

/** What was typed and names nothing known can still be asked for: the answer is a refusal with a way out. */
const other = computed(() => {
  const typed = search.value.trim()
  return typed && !props.products.some((p) => p.name.toLowerCase() === typed.toLowerCase()) ? typed : ''
})

function choose(id: string) {
  search.value = ''
  const source = own(id)
  if (source) emit('source', source.id, source.name)
  else emit('update:modelValue', id)
}
</script>

<template>
  <span class="box">
    <Combobox :model-value="modelValue" @update:model-value="choose">
      <ComboboxInput
        class="word input"
        :class="{ wrong }"
        aria-label="What you can"
        data-field="product"
        autocomplete="off"
        spellcheck="false"
        maxlength="80"
        :display-value="(id) => name(id as string)"
        @change="search = $event.target.value"
        @focus="$event.target.select()"
      />
      <ComboboxButton class="open" aria-label="All products"><ChevronDownIcon class="mark" /></ComboboxButton>
      <ComboboxOptions class="choices" aria-label="Products" @vue:unmounted="search = ''">
        <template v-for="[group, found] in groups" :key="group">
          <li class="heading" role="presentation">{{ group }}</li>
          <ComboboxOption
            v-for="p in found"
            :key="p.id"
            v-slot="{ active, selected }"
            :value="p.id"
            as="template"
          >
            <SentenceOption :value="p.id" :active="active" :selected="selected" :refused="!p.tested">{{
              p.name
            }}</SentenceOption>
          </ComboboxOption>
        </template>
        <li v-if="ownFound.length" class="heading" role="presentation">By your own sources</li>
        <ComboboxOption
          v-for="o in ownFound"
          :key="o.id"
          v-slot="{ active, selected }"
          :value="`own:${o.id}`"
          as="template"
        >
          <SentenceOption :value="`own:${o.name}`" :active="active" :selected="selected">
            <template #mark><BookOpenIcon class="mark" /></template>{{ o.name }}
          </SentenceOption>
        </ComboboxOption>
        <ComboboxOption v-if="other" v-slot="{ active }" :value="other" as="template">
          <SentenceOption value="other" :active="active" :selected="false"
            >Something else: “{{ other }}”</SentenceOption
          >
        </ComboboxOption>
      </ComboboxOptions>
    </Combobox>
  </span>
</template>

<style scoped>
@import '../../parts/sentence.css';
.input {
  field-sizing: content;
  min-width: 4ch;
  padding-right: 34px;
}
.open {
  position: absolute;
  right: 4px;
  top: 0;
  bottom: 3px;
  width: 30px;
  color: var(--color-rim-text);
}
</style>
