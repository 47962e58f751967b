<script setup lang="ts">
import { ref, watch } from 'vue'
import { useLabelChanges, type Labels } from '@/api/labels'
import { useProblems } from '@/parts/problems'

/** The address that the codes on labels open, and whether a telephone can. */
const props = defineProps<{ labels: Labels }>()
const { setAddress } = useLabelChanges()
const { problems, trying } = useProblems()
const address = ref(props.labels.address)
watch(
  () => props.labels.address,
  (a) => (address.value = a),
)
const set = (a: string) => trying(() => setAddress.mutateAsync(a))
</script>

<template>
  <section class="plate" aria-label="What the codes open">
    <h2>What the codes open</h2>
    <form @submit.prevent="set(address)">
      <p v-for="(text, field) in problems" :key="field" class="problem" role="alert">{{ text }}</p>
      <label class="labelled"
        ><span>This kitchen's address in your own network</span
        ><input v-model="address" class="field" maxlength="200" autocomplete="off" data-field="address"
      /></label>
      <p v-if="labels.warning" class="warning" data-address-warning>{{ labels.warning }}</p>
      <div class="keys">
        <button v-for="a in labels.others" :key="a" type="button" class="key" @click="set(a)">{{ a }}</button>
        <button type="submit" class="key" data-keep-address>Keep</button>
      </div>
    </form>
  </section>
</template>

<style scoped src="./page.css"></style>
<style scoped>
.warning {
  margin: 6px 0;
  font-weight: 600;
  color: var(--color-wait);
}
.keys {
  margin-top: 8px;
}
</style>
