<script setup lang="ts">
import { useStove } from '@/api/stove'
import DayLine from './DayLine.vue'
import HobPage from './HobPage.vue'
import OntoHob from './OntoHob.vue'

const hob = useStove(false)
</script>

<template>
  <HobPage :hob="hob" title="Stove">
    <template #banner><DayLine /></template>
    <template #empty><OntoHob :hob="hob" /></template>
    <template #more><OntoHob :hob="hob" small /></template>
  </HobPage>
</template>
