<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { ref } from 'vue'
import type { LoadNow, Tell } from '@/api/stove'

/** What else may be told of a load; what is of one jar asks which. */
defineProps<{ load: LoadNow }>()
const emit = defineEmits<{ tell: [what: Tell]; close: [] }>()
const asking = ref<LoadNow['others'][number]>()
const note = ref('')

function pick(o: LoadNow['others'][number]) {
  if (o.jar) asking.value = o
  else emit('tell', { kind: o.kind, what: o.what })
}
function tellJar(n: number) {
  const o = asking.value
  if (o) emit('tell', { kind: o.kind, what: o.what, ...(o.but ? { except: [n] } : { jar: n }) })
}
</script>

<template>
  <Dialog :open="true" class="cover" @close="$emit('close')">
    <DialogPanel class="plate panel" data-more-dialog>
      <template v-if="asking">
        <DialogTitle as="h2">{{ asking.text }}: which one?</DialogTitle>
        <div class="jars">
          <button
            v-for="j in load.jars"
            :key="j.n"
            type="button"
            class="key"
            :disabled="j.bad"
            :data-jar="j.n"
            @click="tellJar(j.n)"
          >
            {{ j.n }}
          </button>
        </div>
      </template>
      <template v-else>
        <DialogTitle as="h2">What happened?</DialogTitle>
        <div class="list">
          <button
            v-for="o in load.others"
            :key="o.kind + o.what"
            type="button"
            class="key"
            :data-other="o.kind"
            @click="pick(o)"
          >
            {{ o.text }}
          </button>
        </div>
        <form @submit.prevent="emit('tell', { kind: 'note', text: note })">
          <label>A note <input v-model="note" class="field" maxlength="200" /></label>
          <button type="submit" class="key" :disabled="!note.trim()">Keep it</button>
        </form>
      </template>
      <button type="button" class="key key-main back" @click="$emit('close')">Back</button>
    </DialogPanel>
  </Dialog>
</template>

<style scoped>
.panel {
  width: min(640px, 100%);
  max-height: calc(100dvh - 24px);
  overflow-y: auto;
}
h2 {
  font-size: 1.35rem;
}
.list {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 260px), 1fr));
  gap: 10px;
}
.jars {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(72px, 1fr));
  gap: 10px;
}
.key {
  min-height: 64px;
}
form {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: end;
  margin: 12px 0;
}
label {
  flex: 1 1 220px;
}
.field {
  display: block;
  width: 100%;
}
.back {
  margin-top: 8px;
  width: 100%;
}
</style>
