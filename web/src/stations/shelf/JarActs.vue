<script setup lang="ts">
import { computed, ref } from 'vue'
import { useShelfChanges, type JarPage, type ToldOfJar } from '@/api/shelf'
import { useProblems } from '@/parts/problems'

/** What may be done with a jar, and what has to be said of it first. */
const props = defineProps<{ jar: JarPage }>()
const emit = defineEmits<{ told: [jar: JarPage, act: ToldOfJar['act']] }>()
const { tell } = useShelfChanges()
const { problems, trying } = useProblems()
const asking = ref<ToldOfJar['act']>()
const who = ref('')
const why = ref('')
const main = computed(() => props.jar.can.find((a) => a.act !== 'discarded'))
const others = computed(() => props.jar.can.filter((a) => a !== main.value))
const asks = ['given', 'discarded', 'moved']

function act(a: string) {
  if (asks.includes(a)) asking.value = a as ToldOfJar['act']
  else void say({ act: a as ToldOfJar['act'] })
}
const say = (fields: ToldOfJar) =>
  trying(async () => {
    const jar = await tell.mutateAsync({ id: props.jar.id, fields })
    asking.value = undefined
    emit('told', jar, fields.act)
  })
</script>

<template>
  <div>
    <p v-for="(text, field) in problems" :key="field" class="problem" role="alert" data-problem>{{ text }}</p>
    <form v-if="asking === 'given'" class="asked" @submit.prevent="say({ act: 'given', who })">
      <label
        >Who has it now<input v-model="who" class="field" autocomplete="off" maxlength="80" data-who
      /></label>
      <button type="submit" class="key key-main" data-say>Given</button>
      <button type="button" class="key" @click="asking = undefined">Back</button>
    </form>
    <div v-else-if="asking === 'discarded'" class="asked" role="group" aria-label="Why it is thrown away">
      <button
        v-for="s in jar.signs"
        :key="s.id"
        type="button"
        class="key"
        :data-sign="s.id"
        @click="say({ act: 'discarded', why: s.id })"
      >
        {{ s.text }}
      </button>
      <form class="asked" @submit.prevent="say({ act: 'discarded', why })">
        <label>Or say it<input v-model="why" class="field" maxlength="300" autocomplete="off" /></label>
        <button type="submit" class="key key-main">Thrown away</button>
        <button type="button" class="key" @click="asking = undefined">Back</button>
      </form>
    </div>
    <div v-else-if="asking === 'moved'" class="asked" role="group" aria-label="Where to">
      <button
        v-for="p in jar.places"
        :key="p.id"
        type="button"
        class="key"
        @click="say({ act: 'moved', place: p.id })"
      >
        {{ p.name }}
      </button>
      <button type="button" class="key" @click="asking = undefined">Back</button>
    </div>
    <div v-else class="acts">
      <button
        v-for="a in others"
        :key="a.act"
        type="button"
        class="key"
        :data-act="a.act"
        @click="act(a.act)"
      >
        {{ a.text }}
      </button>
      <button v-if="main" type="button" class="key key-main main" :data-act="main.act" @click="act(main.act)">
        {{ main.text }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.acts,
.asked {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: end;
}
label {
  flex: 1 1 220px;
  font-weight: 600;
}
.field {
  display: block;
  width: 100%;
}
.key {
  min-height: 56px;
}
.main {
  margin-left: auto;
  min-height: 64px;
  font-size: 1.2rem;
}
@media (max-width: 640px) {
  .acts {
    display: grid;
    grid-template-columns: 1fr 1fr;
  }
  .main {
    grid-column: 1 / -1;
    margin: 0;
  }
}
</style>
