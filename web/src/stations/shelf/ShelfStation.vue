<script setup lang="ts">
import { refDebounced } from '@vueuse/core'
import { computed, ref } from 'vue'
import { RouterLink } from 'vue-router'
import { useFound, useShelf, type JarPage, type Place } from '@/api/shelf'
import ApartPlate from './ApartPlate.vue'
import JarRow from './JarRow.vue'
import PlaceForm from './PlaceForm.vue'
import PlacePlate from './PlacePlate.vue'
import SaidLine from './SaidLine.vue'
import ShelfNav from './ShelfNav.vue'
import TakeDialog from './TakeDialog.vue'

/** The pantry as it stands: what is open, what stands where, and the oldest in front. */
const { data: shelf } = useShelf()
const typed = ref('')
const words = refDebounced(typed, 180)
const { data: found } = useFound(words)
const searching = computed(() => typed.value.trim() !== '')
const taking = ref<{ id: string; count?: number }>()
const placing = ref<{ place?: Place }>()
const last = ref<{ jar: JarPage; act: string }>()

function told(jar: JarPage, act: string) {
  taking.value = undefined
  last.value = { jar, act }
}
</script>

<template>
  <div v-if="shelf" class="shelf" data-shelf>
    <ShelfNav />
    <header>
      <h1 class="heard">Shelf</h1>
      <p class="count" data-count>{{ shelf.text }}</p>
      <label class="find"
        ><span class="heard">Find a jar</span
        ><input
          v-model="typed"
          type="search"
          class="field"
          placeholder="Find: peaches 2025, a name, a note"
          autocomplete="off"
          data-find
      /></label>
      <RouterLink :to="{ name: 'add-jars' }" class="key" data-add-jars>Add jars</RouterLink>
    </header>
    <SaidLine :jar="last?.jar" :act="last?.act" />
    <section v-if="searching && found" class="plate" aria-label="Found" data-found>
      <h2>{{ found.total === 1 ? '1 jar' : `${found.total} jars` }}</h2>
      <p v-if="!found.total">Nothing in the house has all of these words.</p>
      <JarRow v-for="j in found.jars.slice(0, 12)" :key="j.id" :jar="j" @take="taking = { id: j.id }" />
      <RouterLink v-if="found.total > 12" :to="{ name: 'jars', query: { q: typed } }">All of them</RouterLink>
    </section>
    <template v-else>
      <p v-if="!shelf.count && !shelf.apart.length" class="plate empty">
        The shelf is empty. Jars come here from the
        <RouterLink :to="{ name: 'tray' }">tray</RouterLink> once their seals were looked at; those from
        before can be <RouterLink :to="{ name: 'add-jars' }">added</RouterLink>.
      </p>
      <ApartPlate v-if="shelf.apart.length" :jars="shelf.apart" @take="taking = { id: $event }" />
      <div class="places">
        <PlacePlate
          v-for="p in shelf.places"
          :key="p.id"
          :place="p"
          :style="{ '--groups': p.groups.length }"
          @take="taking = { id: $event.next, count: $event.count }"
          @change="placing = { place: p }"
        />
      </div>
      <button type="button" class="key another" data-add-place @click="placing = {}">Another place</button>
    </template>
    <TakeDialog
      v-if="taking"
      :id="taking.id"
      :count="taking.count"
      @told="told"
      @close="taking = undefined"
    />
    <PlaceForm v-if="placing" :place="placing.place" @close="placing = undefined" />
  </div>
</template>

<style scoped>
.shelf {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  padding-bottom: 24px;
}
.shelf > nav {
  margin-bottom: -6px;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
  align-items: center;
}
.count {
  flex: 1 1 280px;
  margin: 0;
  font-size: 1.35rem;
  font-weight: 700;
}
.find {
  flex: 1 1 280px;
}
.find .field {
  width: 100%;
}
a.key {
  display: inline-flex;
  align-items: center;
  text-decoration: none;
}
/* A place is as wide as what stands in it. */
.places {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}
.places > * {
  flex: 1 1 calc(max(2, var(--groups)) * 166px + 24px);
  max-width: 100%;
}
.another {
  justify-self: start;
}
.empty {
  max-width: 640px;
  margin: 0;
  line-height: 1.4;
}
</style>
