import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { answered, api, type Request, type SavedBatch } from './client'

export function useBatches() {
  return useQuery({ queryKey: ['batches'], queryFn: () => answered(api.GET('/api/batches')) })
}

export function getBatch(id: string): Promise<SavedBatch> {
  return answered(api.GET('/api/batches/{id}', { params: { path: { id } } }))
}

/** Saving, changing, deleting and bringing back; the list follows. */
export function useBatchChanges() {
  const queries = useQueryClient()
  const refresh = () => queries.invalidateQueries({ queryKey: ['batches'] })
  const save = useMutation({
    mutationFn: (b: { id?: string; version: number; note: string; request: Request }) => {
      const { id, version, note, request } = b
      const prefix = 'body.request.'
      if (id === undefined) return answered(api.POST('/api/batches', { body: { note, request } }), prefix)
      return answered(
        api.PUT('/api/batches/{id}', { params: { path: { id } }, body: { version, note, request } }),
        prefix,
      )
    },
    onSuccess: refresh,
  })
  const remove = useMutation({
    mutationFn: (id: string) => answered(api.DELETE('/api/batches/{id}', { params: { path: { id } } })),
    onSuccess: refresh,
  })
  const restore = useMutation({
    mutationFn: (id: string) => answered(api.POST('/api/batches/{id}/restore', { params: { path: { id } } })),
    onSuccess: refresh,
  })
  return { save, remove, restore }
}
