<script setup lang="ts">
import { ref } from 'vue'
import { RouterLink } from 'vue-router'
import { useWantChanges, useWants, type Want } from '@/api/wants'
import { tint } from '@/drawings/tints'
import ShelfNav from './ShelfNav.vue'
import WantForm from './WantForm.vue'

/** How much of what is wanted, what there is of it, and what to put up next season. */
const { data: wants } = useWants()
const { remove } = useWantChanges()
const editing = ref<Want>()
const round = ref(0)
function done() {
  editing.value = undefined
  round.value++
}
</script>

<template>
  <div v-if="wants" class="page" data-wants>
    <ShelfNav />
    <h1 class="heard">Wants</h1>
    <div class="columns">
      <section class="plate" aria-label="Wanted">
        <h2>Wanted</h2>
        <p v-if="!wants.wants.length">
          Say what the household eats in a year, what guests come for, and what is to be given: then what is
          short shows here, and what to put up next season.
        </p>
        <ul>
          <li v-for="w in wants.wants" :key="w.id" class="want" :data-want="w.product">
            <div class="words">
              <p class="name">
                <strong>{{ w.want }} of {{ w.name }}</strong> <span class="quiet">{{ w.whom }}</span>
              </p>
              <div class="bar" role="img" :aria-label="`${w.have} of ${w.want}`">
                <span :style="{ width: `${w.part * 100}%`, background: tint(w.product) }"></span>
              </div>
              <p>
                {{ w.have }} there<template v-if="w.short"
                  >, <strong class="short">{{ w.short }}</strong></template
                ><template v-else>: enough</template
                ><template v-if="w.over"
                  >, <strong>{{ w.over }}</strong></template
                >.
              </p>
              <p v-if="w.apart" class="quiet">{{ w.apart }}.</p>
              <p v-if="w.note" class="quiet">{{ w.note }}</p>
            </div>
            <button type="button" class="key" @click="editing = w">Change</button>
            <button type="button" class="key" @click="remove.mutate(w.id)">No more</button>
          </li>
        </ul>
        <p v-if="wants.nobody.length" class="nobody" data-nobody>
          On the shelf, and nobody said they want it: {{ wants.nobody.join('; ') }}.
        </p>
        <p class="hint">{{ wants.explain }}</p>
      </section>
      <div class="stack">
        <WantForm :key="`${editing?.id ?? 'new'} ${round}`" :want="editing" @done="done" />
        <section v-if="wants.next.length" class="plate" aria-label="Next season" data-next>
          <h2>To put up next season</h2>
          <ul>
            <li v-for="n in wants.next" :key="n.name + n.jar" class="next">
              <strong>{{ n.text }} of {{ n.name }}</strong>
              <span
                >{{ n.when }}<template v-if="n.fruit">; {{ n.fruit }} of fruit</template></span
              >
            </li>
          </ul>
          <RouterLink :to="{ name: 'batch' }" class="quiet">Plan one in Batch</RouterLink>
        </section>
      </div>
    </div>
  </div>
</template>

<style scoped src="./page.css"></style>
<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1.6fr) minmax(0, 1fr);
  gap: 14px;
  align-items: start;
}
.stack {
  display: grid;
  gap: 14px;
}
.want {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: center;
  padding: 8px 0;
  border-top: 1px solid var(--color-line);
}
.words {
  flex: 1 1 300px;
}
.words p {
  margin: 0;
}
.name {
  font-size: 1.1rem;
}
.bar {
  height: 18px;
  margin: 4px 0;
  border: 2px solid var(--color-rim);
  border-radius: 10px;
  overflow: hidden;
  background: var(--color-glass);
}
.bar span {
  display: block;
  height: 100%;
}
.short {
  color: var(--color-wait);
}
.nobody {
  margin-top: 10px;
}
.next {
  padding: 6px 0;
  line-height: 1.3;
}
.next > * {
  display: block;
}
@media (max-width: 900px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
