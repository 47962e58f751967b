<script setup lang="ts">
import { useVirtualizer } from '@tanstack/vue-virtual'
import { refDebounced } from '@vueuse/core'
import { computed, onMounted, ref, shallowReactive, watch } from 'vue'
import { useRoute } from 'vue-router'
import { findJars, pageOfJars, type JarPage, type JarState, type ShelfJar } from '@/api/shelf'
import JarRow from './JarRow.vue'
import SaidLine from './SaidLine.vue'
import ShelfNav from './ShelfNav.vue'
import TakeDialog from './TakeDialog.vue'

/** Every jar there ever was, as a list that asks for what comes into sight. */
const route = useRoute()
const typed = ref(String(route.query.q ?? ''))
const words = refDebounced(typed, 180)
const state = ref<JarState>('here')
const newest = ref(false)
const total = ref<number>()
const jars = shallowReactive(new Map<number, ShelfJar>())
const asked = new Set<number>()
const frame = ref<HTMLElement | null>(null)
const taking = ref<string>()
const last = ref<{ jar: JarPage; act: string }>()
let round = 0

const list = useVirtualizer(
  computed(() => ({
    count: total.value ?? 0,
    getScrollElement: () => frame.value,
    estimateSize: () => 64,
    overscan: 8,
  })),
)

async function load(page: number) {
  if (asked.has(page)) return
  asked.add(page)
  const mine = round
  const found = await findJars(words.value, state.value, newest.value, page * pageOfJars)
  if (mine !== round) return
  total.value = found.total
  found.jars.forEach((j, i) => jars.set(page * pageOfJars + i, j))
}
function again() {
  round++
  asked.clear()
  jars.clear()
  void load(0)
}
watch([words, state, newest], again)
onMounted(again)
watch(
  () => list.value.getVirtualItems().map((r) => Math.floor(r.index / pageOfJars)),
  (pages) => new Set(pages).forEach((p) => void load(p)),
)
function told(jar: JarPage, act: string) {
  taking.value = undefined
  last.value = { jar, act }
  again()
}
</script>

<template>
  <div class="page" data-jars>
    <ShelfNav />
    <h1 class="heard">All jars</h1>
    <header class="keys">
      <label class="find"
        ><span class="heard">Find</span
        ><input
          v-model="typed"
          type="search"
          class="field"
          placeholder="Find by anything"
          autocomplete="off"
          data-find
      /></label>
      <label
        ><span class="heard">Which</span>
        <select v-model="state" class="field" data-which>
          <option value="here">in the house</option>
          <option value="gone">eaten, given, gone</option>
          <option value="all">all there ever were</option>
        </select></label
      >
      <label
        ><span class="heard">Order</span>
        <select v-model="newest" class="field">
          <option :value="false">oldest first</option>
          <option :value="true">newest first</option>
        </select></label
      >
      <strong data-total>{{ total === 1 ? '1 jar' : `${total ?? '…'} jars` }}</strong>
      <a class="key" href="/api/files/shelf.pdf">On paper</a>
    </header>
    <SaidLine :jar="last?.jar" :act="last?.act" />
    <p v-if="total === 0" class="plate">Nothing has all of these words.</p>
    <div v-else ref="frame" class="plate frame" tabindex="0" aria-label="Jars">
      <div :style="{ height: `${list.getTotalSize()}px` }" class="all">
        <div
          v-for="r in list.getVirtualItems()"
          :key="r.index"
          class="at"
          :style="{ transform: `translateY(${r.start}px)` }"
        >
          <JarRow v-if="jars.get(r.index)" :jar="jars.get(r.index)!" @take="taking = jars.get(r.index)!.id" />
          <span v-else class="quiet">…</span>
        </div>
      </div>
    </div>
    <TakeDialog v-if="taking" :id="taking" @told="told" @close="taking = undefined" />
  </div>
</template>

<style scoped src="./page.css"></style>
<style scoped>
.find {
  flex: 1 1 260px;
}
.find .field {
  width: 100%;
}
.frame {
  height: calc(100dvh - 270px);
  min-height: 320px;
  overflow-y: auto;
}
.all {
  position: relative;
}
.at {
  position: absolute;
  inset: 0 0 auto 0;
  height: 64px;
}
.at > * {
  height: 64px;
}
</style>
