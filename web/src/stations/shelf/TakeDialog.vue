<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import { useJar, type JarPage } from '@/api/shelf'
import JarActs from './JarActs.vue'
import JarWords from './JarWords.vue'

/** The jar to take first of like ones, and what to do with it. */
const props = defineProps<{ id: string; count?: number }>()
const emit = defineEmits<{ told: [jar: JarPage, act: string]; close: [] }>()
const { data: jar } = useJar(computed(() => props.id))
</script>

<template>
  <Dialog :open="true" class="cover" @close="$emit('close')">
    <DialogPanel class="plate panel" data-take>
      <template v-if="jar">
        <DialogTitle as="h2">{{ jar.what }}</DialogTitle>
        <p class="which">
          Jar <strong class="id">{{ jar.id }}</strong>
          <span v-if="count && count > 1" class="quiet">the one to take first of {{ count }}</span>
          <RouterLink
            v-if="count && count > 1"
            :to="{ name: 'jars', query: { q: `${jar.what} ${jar.size}` } }"
            data-another
            >another of them</RouterLink
          >
          <RouterLink :to="{ name: 'jar', params: { id: jar.id } }" data-open-jar>its page</RouterLink>
        </p>
        <JarWords :jar="jar" />
        <JarActs :jar="jar" @told="(j, a) => emit('told', j, a)" />
      </template>
      <div class="keys">
        <button type="button" class="key" @click="$emit('close')">Leave it</button>
      </div>
    </DialogPanel>
  </Dialog>
</template>

<style scoped>
.panel {
  width: min(640px, 100%);
  max-height: calc(100dvh - 24px);
  overflow-y: auto;
}
.panel h2 {
  font-size: 1.5rem;
}
h2::first-letter {
  text-transform: uppercase;
}
.which {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
  margin: 0 0 6px;
}
.which a {
  display: inline-flex;
  align-items: center;
  min-height: 48px;
  text-decoration: underline;
  text-underline-offset: 3px;
}
.id {
  letter-spacing: 0.08em;
}
.keys {
  margin-top: 10px;
}
</style>
