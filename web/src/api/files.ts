import { useMutation, useQueryClient } from '@tanstack/vue-query'
import { answered, api, Problem, type Schemas } from './client'

export type Taken = Schemas['TakenBody']
export type FileKind = 'jars' | 'lots' | 'batches' | 'kitchen'

const take = (kind: FileKind, file: string, only: boolean) =>
  answered(
    api.POST('/api/files/import', {
      params: { query: { kind, only } },
      body: file,
      bodySerializer: (text: unknown) => String(text),
      headers: { 'Content-Type': 'text/plain' },
    }),
  )

/** What a file would do, and doing it; all that is shown follows. */
export function useFiles() {
  const queries = useQueryClient()
  const look = useMutation({
    mutationFn: ({ kind, file }: { kind: FileKind; file: string }) => take(kind, file, true),
  })
  const takeIn = useMutation({
    mutationFn: ({ kind, file }: { kind: FileKind; file: string }) => take(kind, file, false),
    onSuccess: () => void queries.invalidateQueries(),
  })
  const restore = useMutation({
    mutationFn: async (file: File) => {
      const answer = await fetch('/api/files/restore', { method: 'POST', body: file })
      const said = (await answer.json()) as { text?: string; detail?: string }
      if (!answer.ok) throw new Problem(said.detail ?? 'That did not work.', {}, answer.status)
      return said.text ?? ''
    },
    onSuccess: () => void queries.invalidateQueries(),
  })
  return { look, takeIn, restore }
}
