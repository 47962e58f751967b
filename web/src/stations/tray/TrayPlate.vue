<script setup lang="ts">
import { computed, ref } from 'vue'
import { useTrayChanges, type DoneWith, type Found, type TrayJar, type TrayLoad } from '@/api/tray'
import { useShelf } from '@/api/shelf'
import TrayDrawing from '@/drawings/TrayDrawing.vue'
import { useProblems } from '@/parts/problems'
import FoundDialog from './FoundDialog.vue'
import TrayJarRow from './TrayJarRow.vue'

/** One load as it stood when it was lifted: the seal check, jar by jar or all at once. */
const props = defineProps<{ load: TrayLoad }>()
const emit = defineEmits<{ shelved: [load: TrayLoad] }>()
const { data: shelf } = useShelf()
const places = computed(() => shelf.value?.places.filter((p) => p.id) ?? [])
const place = ref('')
const { found, done } = useTrayChanges()
const { problems, trying } = useProblems()
const asking = ref<TrayJar>()

const open = computed(() => props.load.jars.filter((j) => !j.seal && !j.done))
const sound = computed(() =>
  props.load.jars.filter((j) => !j.done && ['keep', 'use-first'].includes(j.fate)).map((j) => j.n),
)
const again = computed(() =>
  props.load.jars.filter((j) => j.do.some((d) => d.choice === 'process-again')).map((j) => j.n),
)
const tell = (fields: Found) =>
  trying(async () => void (await found.mutateAsync({ id: props.load.id, fields })))
const make = (fields: DoneWith) =>
  trying(async () => {
    const load = props.load
    await done.mutateAsync({ id: load.id, fields: { ...fields, place: place.value } })
    if (fields.choice === 'shelf') emit('shelved', load)
  })
async function asked(fields: Found) {
  asking.value = undefined
  await tell(fields)
}
</script>

<template>
  <section class="plate load" :aria-label="load.about.headline" :data-tray-load="load.about.product">
    <div class="side">
      <h2>{{ load.about.headline }}</h2>
      <p>{{ load.about.jars }} out of {{ load.about.canner }}, {{ load.since }} ago</p>
      <TrayDrawing class="drawing" :load="load" />
    </div>
    <div>
      <p v-if="load.early" class="early" data-early>{{ load.early }}</p>
      <p v-else-if="open.length" class="how" :class="{ urge: load.urge }">
        Press the middle of each lid, tap it, look along it, take the band off and lift the jar by its lid.
      </p>
      <p v-for="(text, field) in problems" :key="field" class="problem" role="alert" data-problem>
        {{ text }}
      </p>
      <div class="keys">
        <button
          v-if="open.length && !load.early"
          type="button"
          class="key key-main big"
          data-all-sealed
          @click="tell({ jars: [], seal: 'sealed' })"
        >
          {{ open.length === load.jars.length ? 'All sealed' : `The other ${open.length} sealed` }}
        </button>
        <button
          v-if="sound.length"
          type="button"
          class="key key-main big"
          data-all-shelved
          @click="make({ jars: sound, choice: 'shelf' })"
        >
          {{ sound.length === 1 ? 'The sound one' : `The ${sound.length} sound ones` }} onto the shelf
        </button>
        <label v-if="sound.length && places.length > 1" class="onto"
          >in
          <select v-model="place" class="field" data-onto-place>
            <option value="">the place used last</option>
            <option v-for="p in places" :key="p.id" :value="p.id">{{ p.name }}</option>
          </select></label
        >
        <button
          v-if="again.length > 1"
          type="button"
          class="key big"
          data-all-again
          @click="make({ jars: again, choice: 'process-again' })"
        >
          Process the {{ again.length }} again
        </button>
      </div>
      <ul>
        <TrayJarRow
          v-for="j in load.jars"
          :key="j.n"
          :jar="j"
          :early="!!load.early"
          @found="tell({ jars: [j.n], seal: $event })"
          @other="asking = j"
          @make="make({ jars: [j.n], choice: $event })"
        />
      </ul>
    </div>
    <FoundDialog v-if="asking" :jar="asking" @found="asked" @close="asking = undefined" />
  </section>
</template>

<style scoped>
.load {
  display: grid;
  grid-template-columns: minmax(0, 300px) minmax(0, 1fr);
  gap: 10px 24px;
  align-items: start;
  margin-bottom: 14px;
}
.load h2 {
  font-size: 1.3rem;
}
.load h2::first-letter {
  text-transform: uppercase;
}
p {
  margin: 0 0 8px;
  line-height: 1.35;
}
.drawing {
  max-width: 280px;
}
.early {
  font-size: 1.25rem;
  font-weight: 700;
  color: var(--color-wait);
}
.how {
  font-size: 1.15rem;
}
.urge {
  font-weight: 700;
  color: var(--color-wait);
}
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.onto {
  display: flex;
  gap: 8px;
  align-items: center;
}
.big {
  min-height: 64px;
  font-size: 1.25rem;
}
ul {
  margin: 8px 0 0;
  padding: 0;
  list-style: none;
}
@media (max-width: 760px) {
  .load {
    grid-template-columns: minmax(0, 1fr);
  }
  .drawing {
    max-width: 190px;
  }
}
</style>
