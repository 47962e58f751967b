<script setup lang="ts">
import { useImportSources } from '@/api/sources'
import { useTakeFile } from '@/parts/takeFile'

/** Own sources out to a file and in from one. */
defineProps<{ any: boolean }>()
const bring = useImportSources()
const { said, problem, read } = useTakeFile(async (text) => {
  const { added, changed, same } = await bring.mutateAsync(text)
  return `Taken over: ${added} new, ${changed} changed, ${same} as they were.`
})
</script>

<template>
  <section class="plate" aria-label="As a file">
    <h2>As a file</h2>
    <p class="quiet">
      Keep them elsewhere, or take over somebody’s. A file with anything wrong in it is refused whole, with
      the line.
    </p>
    <div class="keys">
      <a v-if="any" class="key" href="/api/sources/export" download="own-sources.json" data-export
        >Save all as a file</a
      >
      <label class="key file">
        Take over from a file
        <input type="file" accept=".json,application/json" data-field="sources-file" @change="read" />
      </label>
    </div>
    <p v-if="problem" class="problem" role="alert" data-file-problem>{{ problem }}</p>
    <p role="status" class="said" data-file-said>{{ said }}</p>
  </section>
</template>

<style scoped>
p {
  margin: 0 0 8px;
  line-height: 1.35;
}
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.key {
  display: inline-flex;
  align-items: center;
  text-decoration: none;
}
.file {
  position: relative;
  overflow: hidden;
}
.file input {
  position: absolute;
  inset: 0;
  opacity: 0;
  font-size: 200px;
  cursor: pointer;
}
.file:focus-within {
  outline: 3px solid var(--color-focus);
  outline-offset: 2px;
}
.said {
  margin: 6px 0 0;
  color: var(--color-go);
  font-weight: 600;
}
</style>
