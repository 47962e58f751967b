<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { reactive } from 'vue'
import { useLabelChanges, type Sheet, type SheetFields } from '@/api/labels'
import { useProblems } from '@/parts/problems'

/** A grid of labels by its measures, with a ruler in hand. */
const props = defineProps<{ sheet?: Sheet }>()
const emit = defineEmits<{ kept: [id: string]; close: [] }>()
const { keep } = useLabelChanges()
const { problems, trying } = useProblems()
const s = props.sheet
const fields = reactive<SheetFields>({
  name: s?.name ?? '',
  pageW: s?.pageW ?? 210,
  pageH: s?.pageH ?? 297,
  columns: s?.columns ?? 3,
  rows: s?.rows ?? 8,
  w: s?.w ?? 60,
  h: s?.h ?? 34,
  left: s?.left ?? 10,
  top: s?.top ?? 10,
  gapX: s?.gapX ?? 2,
  gapY: s?.gapY ?? 0,
  round: s?.round ?? false,
})
const numbers = [
  { id: 'pageW', name: 'Page, wide' },
  { id: 'pageH', name: 'Page, high' },
  { id: 'columns', name: 'Labels in a row' },
  { id: 'rows', name: 'Rows' },
  { id: 'w', name: 'A label, wide' },
  { id: 'h', name: 'A label, high' },
  { id: 'left', name: 'Free at the left' },
  { id: 'top', name: 'Free at the top' },
  { id: 'gapX', name: 'Between columns' },
  { id: 'gapY', name: 'Between rows' },
] as const
const save = () =>
  trying(async () => {
    const all = await keep.mutateAsync({ id: s?.id, fields: { ...fields } })
    const kept = all.sheets.find((l) => l.own && l.name === fields.name.trim())
    emit('kept', kept?.id ?? '')
    emit('close')
  })
</script>

<template>
  <Dialog :open="true" class="cover" @close="$emit('close')">
    <DialogPanel class="plate panel" data-sheet-form>
      <DialogTitle as="h2">{{ s ? s.name : 'Other labels' }}</DialogTitle>
      <form @submit.prevent="save">
        <p v-for="(text, field) in problems" :key="field" class="problem" role="alert" :data-problem="field">
          {{ text }}
        </p>
        <label class="labelled"
          ><span>What you call them</span
          ><input
            v-model="fields.name"
            class="field"
            maxlength="60"
            data-field="sheet-name"
            autocomplete="off"
        /></label>
        <p class="hint">In millimetres, with a ruler on a sheet of them.</p>
        <div class="grid">
          <label v-for="n in numbers" :key="n.id"
            >{{ n.name
            }}<input v-model.number="fields[n.id]" type="number" step="any" class="field" :data-field="n.id"
          /></label>
        </div>
        <label class="choice-row"><input v-model="fields.round" type="checkbox" /> round, for lids</label>
        <div class="keys">
          <button type="button" class="key" @click="$emit('close')">Back</button>
          <button type="submit" class="key key-main" data-keep-sheet>Keep</button>
        </div>
      </form>
    </DialogPanel>
  </Dialog>
</template>

<style scoped src="../../parts/form.css"></style>
<style scoped>
.panel {
  width: min(600px, 100%);
  max-height: calc(100dvh - 24px);
  overflow-y: auto;
}
.panel h2 {
  font-size: 1.35rem;
}
</style>
