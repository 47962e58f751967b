<script setup lang="ts">
import { ref } from 'vue'
import { useFiles, type FileKind, type Taken } from '@/api/files'
import { useProblems } from '@/parts/problems'

/** Records out of this kitchen and into it: files to keep, and files to take in after a look at what they do. */
const { look, takeIn, restore } = useFiles()
const { problems, trying } = useProblems()
const out = [
  { href: '/api/files/kitchen.json', name: 'Everything', about: 'as JSON, with its schema below' },
  { href: '/api/files/jars.csv', name: 'Jars', about: 'every one there ever was, for a spreadsheet' },
  { href: '/api/files/lots.csv', name: 'Fruit', about: 'every lot that came in' },
  { href: '/api/files/batches.csv', name: 'Batches', about: 'every one that was saved' },
  {
    href: '/api/files/calendar.ics',
    name: 'Calendar',
    about: 'seals, the last hour, look-overs, fruit that turns',
  },
  { href: '/api/files/shelf.pdf?every=true', name: 'The shelf on paper', about: 'jar by jar, to tick off' },
  { href: '/api/files/kitchen.schema.json', name: 'The schema', about: 'of the file of everything' },
]
const kinds: { id: FileKind; name: string }[] = [
  { id: 'kitchen', name: 'everything, as JSON' },
  { id: 'jars', name: 'jars, as CSV' },
  { id: 'lots', name: 'fruit, as CSV' },
  { id: 'batches', name: 'batches, as CSV' },
]
const kind = ref<FileKind>('kitchen')
const file = ref('')
const name = ref('')
const would = ref<Taken>()
const did = ref<Taken>()
const restoring = ref<File>()
const restored = ref('')

async function chosen(e: Event) {
  const input = e.target as HTMLInputElement
  const f = input.files?.[0]
  input.value = ''
  if (!f) return
  would.value = did.value = undefined
  name.value = f.name
  file.value = await f.text()
  await trying(async () => (would.value = await look.mutateAsync({ kind: kind.value, file: file.value })))
}
const take = () =>
  trying(async () => {
    did.value = await takeIn.mutateAsync({ kind: kind.value, file: file.value })
    would.value = undefined
  })
function pick(e: Event) {
  restored.value = ''
  restoring.value = (e.target as HTMLInputElement).files?.[0]
}
const putBack = () =>
  trying(async () => {
    restored.value = await restore.mutateAsync(restoring.value!)
    restoring.value = undefined
  })
</script>

<template>
  <div class="files" data-files>
    <h1>In and out</h1>
    <p class="lead">
      What you keep here is yours: take it out whenever you like, and into any other kitchen. A file that has
      anything wrong in it is refused whole, with the line and what would be accepted.
    </p>
    <p v-for="(text, field) in problems" :key="field" class="problem plate" role="alert" data-problem>
      {{ text }}
    </p>
    <div class="columns">
      <section class="plate" aria-label="Out">
        <h2>Out</h2>
        <ul>
          <li v-for="o in out" :key="o.href">
            <div>
              <strong>{{ o.name }}</strong> <span class="quiet">{{ o.about }}</span>
            </div>
            <a class="key" :href="o.href" download>Keep</a>
          </li>
        </ul>
      </section>
      <div class="stack">
        <section class="plate" aria-label="In">
          <h2>In</h2>
          <div class="keys">
            <label
              ><span class="heard">What is in the file</span>
              <select v-model="kind" class="field" data-kind>
                <option v-for="k in kinds" :key="k.id" :value="k.id">{{ k.name }}</option>
              </select></label
            >
            <label class="key"
              >Choose a file<input
                type="file"
                class="heard"
                accept=".json,.csv,text/csv"
                data-file
                @change="chosen"
            /></label>
          </div>
          <div v-if="would" class="would" data-would>
            <p>
              <strong>{{ name }}:</strong> {{ would.text }}
            </p>
            <ul>
              <li v-for="t in would.took" :key="t.what">
                {{ t.what }}: {{ t.new }} new, {{ t.changed }} changed, {{ t.same }} the same
              </li>
            </ul>
            <p v-for="n in would.notes" :key="n">{{ n }}</p>
            <button type="button" class="key key-main" data-take-in @click="take">Take it in</button>
          </div>
          <p v-if="did" role="status" class="said" data-did>{{ did.text }}</p>
        </section>
        <section class="plate" aria-label="Backup">
          <h2>Backup</h2>
          <p>
            One file with everything, as it is at this moment. Keep it on another disk. On the command line:
            <code>mellisca backup</code> and <code>mellisca restore</code>.
          </p>
          <div class="keys">
            <a class="key" href="/api/files/backup.db" download data-backup>Back up now</a>
            <label class="key"
              >Put a backup back<input type="file" class="heard" accept=".db" data-restore @change="pick"
            /></label>
          </div>
          <div v-if="restoring" class="would">
            <p>
              <strong>{{ restoring.name }}</strong> takes the place of everything that is kept here now. What
              there was stays as a file beside the records.
            </p>
            <button type="button" class="key key-main" data-put-back @click="putBack">Put it in place</button>
            <button type="button" class="key" @click="restoring = undefined">Leave it</button>
          </div>
          <p v-if="restored" role="status" class="said">{{ restored }}</p>
        </section>
      </div>
    </div>
  </div>
</template>

<style scoped src="./listing.css"></style>
<style scoped>
.files {
  padding-bottom: 24px;
}
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
a.key,
label.key {
  display: inline-flex;
  align-items: center;
  text-decoration: none;
}
label.key:focus-within {
  outline: 3px solid var(--color-focus);
  outline-offset: 2px;
}
.would {
  margin-top: 12px;
  line-height: 1.35;
}
.would li {
  padding: 2px 0;
  border: 0;
}
.would .key {
  margin: 8px 8px 0 0;
}
p {
  line-height: 1.35;
}
code {
  font-weight: 600;
}
</style>
