<script setup lang="ts">
import { ref } from 'vue'
import { useCatalogue } from '@/api/plan'
import { useSourceChanges, useSources, type OwnSource } from '@/api/sources'
import SourceFiles from './SourceFiles.vue'
import SourceForm from './SourceForm.vue'

const { data: sources } = useSources()
const { data: catalogue } = useCatalogue()
const { retire } = useSourceChanges()

const editing = ref<OwnSource>()
const said = ref('')

function kept(name: string) {
  said.value = `“${name}” is kept. Pick it in the sentence of a batch.`
  editing.value = undefined
}
</script>

<template>
  <div v-if="sources && catalogue" class="sources" data-sources>
    <h1>Own sources</h1>
    <p class="lead">
      A recipe that is not in the tables may be canned by a published source that you name. It is never shown
      as tested, and it lifts nothing that is unsafe in itself. Altitude is added for you.
    </p>
    <p role="status" class="said">{{ said }}</p>
    <div class="columns">
      <div class="stack">
        <section class="plate" aria-label="Your sources">
          <h2>Yours</h2>
          <p v-if="!sources.length" class="quiet">None yet.</p>
          <ul>
            <li v-for="s in sources" :key="s.id" :data-source="s.id" :class="{ retired: s.retired }">
              <div>
                <strong>{{ s.name }}</strong>, {{ s.pack }}, up to the {{ s.largest }}: {{ s.minutes }} min at
                sea level
                <span class="quiet">{{ s.cite }}</span>
                <span v-if="s.retired" class="quiet">Retired: no longer offered.</span>
              </div>
              <button type="button" class="key" @click="editing = s">Change</button>
              <button type="button" class="key" @click="retire.mutate({ id: s.id, retired: !s.retired })">
                {{ s.retired ? 'Bring back' : 'Retire' }}
              </button>
            </li>
          </ul>
        </section>
        <SourceFiles :any="sources.length > 0" />
      </div>
      <SourceForm
        :key="editing?.id ?? 'new'"
        :source="editing"
        :catalogue="catalogue"
        @kept="kept"
        @left="editing = undefined"
      />
    </div>
  </div>
</template>

<style scoped src="./listing.css"></style>
<style scoped>
.sources {
  padding-bottom: 92px;
}
.retired strong {
  font-weight: 400;
}
</style>
