<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import type { LoadNow, Tell } from '@/api/stove'

/** What was told when, and what of it may still be corrected. */
defineProps<{ load: LoadNow }>()
defineEmits<{ tell: [what: Tell]; close: [] }>()
</script>

<template>
  <Dialog :open="true" class="cover" @close="$emit('close')">
    <DialogPanel class="plate panel" data-said-dialog>
      <DialogTitle as="h2">What was told</DialogTitle>
      <ol>
        <li v-for="s in load.said" :key="s.seq" :class="{ void: s.void }">
          <span
            ><strong>{{ s.time }}</strong> {{ s.text }} <small class="quiet">number {{ s.seq }}</small
            ><em v-if="s.corrected">, corrected</em></span
          >
          <button
            v-if="s.earlier"
            type="button"
            class="key"
            data-earlier
            @click="$emit('tell', { kind: 'corrected', target: s.seq, shiftMs: -60000 })"
          >
            1 min earlier
          </button>
          <button
            v-if="s.later"
            type="button"
            class="key"
            data-later
            @click="$emit('tell', { kind: 'corrected', target: s.seq, shiftMs: 60000 })"
          >
            1 min later
          </button>
          <button
            v-if="s.takeBack"
            type="button"
            class="key"
            data-take-back
            @click="$emit('tell', { kind: 'corrected', target: s.seq, void: true })"
          >
            It did not happen
          </button>
        </li>
      </ol>
      <p class="quiet">
        Nothing is erased: a correction stands beside what it corrects. A boil can be put back by five minutes
        at most, while its time runs.
      </p>
      <button type="button" class="key key-main" @click="$emit('close')">Back to the hob</button>
    </DialogPanel>
  </Dialog>
</template>

<style scoped>
.panel {
  width: min(760px, 100%);
  max-height: calc(100dvh - 24px);
  overflow-y: auto;
}
h2 {
  font-size: 1.35rem;
}
ol {
  margin: 0 0 8px;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
  min-height: 48px;
  border-top: 1px solid var(--color-line);
}
li span {
  flex: 1 1 200px;
  line-height: 1.3;
}
.void span {
  text-decoration: line-through;
}
.key-main {
  width: 100%;
  min-height: 64px;
}
</style>
