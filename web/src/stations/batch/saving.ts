import { ref, type Ref } from 'vue'
import { useRouter } from 'vue-router'
import { getBatch, useBatchChanges } from '@/api/batches'
import { Problem, type Request } from '@/api/client'
import type { Sentence } from './sentence'

/** Saving, opening and deleting the batch on the page, each with a word to the cook and a way back. */
export function useSaving(sentence: Sentence, id: Ref<string | undefined>) {
  const router = useRouter()
  const { save, remove, restore } = useBatchChanges()
  const note = ref('')
  const said = ref('')
  const failed = ref('')
  const deleted = ref<string>()
  const kept = ref('')
  let version = 0
  let justKept = ''

  const now = () => JSON.stringify([sentence.request, note.value])
  const changed = () => kept.value !== now()

  async function attempt(what: () => Promise<void>) {
    said.value = failed.value = ''
    try {
      await what()
    } catch (e) {
      failed.value = e instanceof Problem ? [e.message, ...Object.values(e.fields)].join(' ') : String(e)
    }
  }

  function take(request: Request, itsNote: string, itsVersion: number) {
    sentence.put({ ...request, liquid: { ...request.liquid } }, true)
    note.value = itsNote
    version = itsVersion
    kept.value = now()
  }

  const open = (which: string) => {
    if (which === justKept) return (justKept = '') // it is what stands here
    return attempt(async () => {
      const b = await getBatch(which)
      take(b.request, b.note, b.version)
    })
  }

  const keep = () =>
    attempt(async () => {
      const b = await save.mutateAsync({ id: id.value, version, note: note.value, request: sentence.request })
      version = b.version
      kept.value = now()
      said.value = id.value ? 'Changes saved.' : 'Saved.'
      if (!id.value) justKept = b.id
      if (!id.value) await router.push({ name: 'batch', params: { id: b.id } })
    })

  const discard = () =>
    attempt(async () => {
      const which = id.value
      if (!which) return
      await remove.mutateAsync(which)
      deleted.value = which
      said.value = 'Deleted.'
      await router.push({ name: 'batch' })
    })

  const undo = () =>
    attempt(async () => {
      const which = deleted.value
      if (!which) return
      await restore.mutateAsync(which)
      deleted.value = undefined
      said.value = 'Brought back.'
      await router.push({ name: 'batch', params: { id: which } })
    })

  function fresh() {
    version = 0
    sentence.restart()
    note.value = ''
    kept.value = ''
    said.value = failed.value = ''
  }

  return { note, said, failed, deleted, changed, open, keep, discard, undo, fresh }
}
