<script setup lang="ts">
import { CheckIcon, NoSymbolIcon } from '@heroicons/vue/20/solid'

/** One choice in a list of the sentence: picked, refused, or neither, with a word for a refused one. */
defineProps<{ value: string; active: boolean; selected: boolean; refused?: boolean; note?: string }>()
</script>

<template>
  <li class="choice" :class="{ active }" :data-value="value">
    <CheckIcon v-if="selected" class="mark" />
    <NoSymbolIcon v-else-if="refused" class="mark refused" />
    <span v-else class="mark"><slot name="mark" /></span>
    <slot />
    <span v-if="refused && note" class="refused note">{{ note }}</span>
  </li>
</template>

<style scoped>
@import './sentence.css';
</style>
