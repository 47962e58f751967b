<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { Problem } from '@/api/client'
import { useCatalogue } from '@/api/plan'
import { useSetStock, useStock } from '@/api/stock'

/** Jars, new lids and bands, as they were counted. */
const { data: stock } = useStock()
const { data: catalogue } = useCatalogue()
const set = useSetStock()
const said = ref('')
const problem = ref('')

const jars = reactive<{ jar: string; owned: string; inUse: string }[]>([])
const mouths = reactive<{ mouth: 'regular' | 'wide'; lids: string; bands: string }[]>([])
watch(
  stock,
  (s) => {
    if (!s) return
    jars.splice(
      0,
      jars.length,
      ...s.jars.map((j) => ({ jar: j.jar, owned: String(j.owned), inUse: String(j.inUse) })),
    )
    mouths.splice(
      0,
      mouths.length,
      ...s.mouths.map((m) => ({ mouth: m.mouth, lids: String(m.lids), bands: String(m.bands) })),
    )
  },
  { immediate: true },
)
const name = computed(() => (id: string) => catalogue.value?.jars.find((j) => j.id === id)?.many ?? id)

/** A cracked or chipped jar is written off. */
function cracked(j: (typeof jars)[number]) {
  j.owned = String(Math.max(0, Number(j.owned) - 1))
  j.inUse = String(Math.min(Number(j.inUse), Number(j.owned)))
}

async function save() {
  said.value = problem.value = ''
  try {
    await set.mutateAsync({
      jars: jars.map((j) => ({ jar: j.jar, owned: Number(j.owned) || 0, inUse: Number(j.inUse) || 0 })),
      mouths: mouths.map((m) => ({ mouth: m.mouth, lids: Number(m.lids) || 0, bands: Number(m.bands) || 0 })),
    })
    said.value = 'Kept.'
  } catch (e) {
    problem.value = e instanceof Problem ? Object.values(e.fields).join(' ') || e.message : String(e)
  }
}
</script>

<template>
  <form v-if="stock && catalogue" class="stock" data-stock @submit.prevent="save">
    <h1>Jars, lids, bands</h1>
    <p class="lead">
      Once counted, a batch says what is short, and its fruit can be spread over the jars at hand. Closing a
      batch counts its jars as full and its lids as used.
    </p>
    <div class="columns">
      <section class="plate">
        <h2>Jars</h2>
        <table>
          <thead>
            <tr>
              <th scope="col">kind</th>
              <th scope="col">you own</th>
              <th scope="col">full</th>
              <th scope="col"><span class="heard">written off</span></th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="j in jars" :key="j.jar">
              <th scope="row">{{ name(j.jar) }}</th>
              <td>
                <input
                  v-model="j.owned"
                  class="field"
                  inputmode="numeric"
                  :aria-label="`${name(j.jar)} you own`"
                  :data-field="`owned-${j.jar}`"
                />
              </td>
              <td>
                <input
                  v-model="j.inUse"
                  class="field"
                  inputmode="numeric"
                  :aria-label="`${name(j.jar)} that are full`"
                  :data-field="`full-${j.jar}`"
                />
              </td>
              <td>
                <button type="button" class="key" :data-cracked="j.jar" @click="cracked(j)">
                  One cracked
                </button>
              </td>
            </tr>
          </tbody>
        </table>
      </section>
      <section class="plate">
        <h2>New flat lids, and bands</h2>
        <table>
          <thead>
            <tr>
              <th scope="col">mouth</th>
              <th scope="col">new lids</th>
              <th scope="col">bands</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="m in mouths" :key="m.mouth">
              <th scope="row">{{ m.mouth }}</th>
              <td>
                <input
                  v-model="m.lids"
                  class="field"
                  inputmode="numeric"
                  :aria-label="`New ${m.mouth} lids`"
                  :data-field="`lids-${m.mouth}`"
                />
              </td>
              <td>
                <input
                  v-model="m.bands"
                  class="field"
                  inputmode="numeric"
                  :aria-label="`${m.mouth} bands`"
                  :data-field="`bands-${m.mouth}`"
                />
              </td>
            </tr>
          </tbody>
        </table>
        <p class="hint">A flat lid seals once. Bands are used until they rust or bend.</p>
      </section>
    </div>
    <footer class="foot">
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <p v-else role="status">{{ said }}</p>
      <button type="submit" class="key key-main" data-save>Keep the count</button>
    </footer>
  </form>
</template>

<style scoped>
.stock {
  padding-bottom: 92px;
}
h1 {
  margin: 2px 0 4px;
  font-size: 1.6rem;
}
.lead {
  max-width: 78ch;
  margin: 0 0 12px;
  line-height: 1.35;
}
.columns {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 420px), 1fr));
  gap: 14px;
  align-items: start;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  padding: 3px 4px;
  text-align: left;
  font-weight: 400;
  line-height: 1.2;
}
thead th {
  font-size: 0.9rem;
  color: var(--color-quiet);
}
.field {
  width: 100%;
  min-width: 62px;
  max-width: 110px;
}
.key {
  padding: 4px 10px;
  line-height: 1.1;
}
</style>
