import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { answered, api, type Schemas } from './client'

export type OwnSource = Schemas['SourceBodyFull']
export type SourceFields = Schemas['SourceFields']

export function useSources() {
  return useQuery({ queryKey: ['sources'], queryFn: () => answered(api.GET('/api/sources')) })
}

/** Adding, changing and retiring; the list and the plans follow. */
export function useSourceChanges() {
  const queries = useQueryClient()
  const onSuccess = (all: OwnSource[] | null) => {
    queries.setQueryData(['sources'], all ?? [])
    void queries.invalidateQueries({ queryKey: ['plan'] })
  }
  const keep = useMutation({
    mutationFn: ({ id, version, fields }: { id?: string; version: number; fields: SourceFields }) =>
      id
        ? answered(api.PUT('/api/sources/{id}', { params: { path: { id } }, body: { version, ...fields } }))
        : answered(api.POST('/api/sources', { body: fields })),
    onSuccess,
  })
  const retire = useMutation({
    mutationFn: ({ id, retired }: { id: string; retired: boolean }) => {
      const params = { path: { id } }
      return answered(
        retired
          ? api.POST('/api/sources/{id}/retire', { params })
          : api.POST('/api/sources/{id}/restore', { params }),
      )
    },
    onSuccess,
  })
  return { keep, retire }
}

/** Takes own sources over from the text of a file. */
export function useImportSources() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (file: string) => answered(api.POST('/api/sources/import', { body: { file } })),
    onSuccess: (done) => {
      queries.setQueryData(['sources'], done.sources)
      void queries.invalidateQueries({ queryKey: ['plan'] })
    },
  })
}
