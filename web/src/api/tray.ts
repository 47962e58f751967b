import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { answered, api, type Schemas } from './client'

export type TrayLoad = Schemas['TrayLoadBody']
export type TrayJar = Schemas['TrayJarBody']
export type Found = Schemas['FoundFields']
export type DoneWith = Schemas['DoneFields']

/** The loads that were lifted out; the hours are looked at again every minute. */
export function useTray() {
  return useQuery({
    queryKey: ['tray'],
    queryFn: () => answered(api.GET('/api/tray')),
    refetchInterval: 60_000,
  })
}

/** What is found of jars, and what is done with them. */
export function useTrayChanges() {
  const queries = useQueryClient()
  const onSuccess = (all: TrayLoad[] | null) => {
    queries.setQueryData(['tray'], all ?? [])
    void queries.invalidateQueries({ queryKey: ['shelf'] })
  }
  const found = useMutation({
    mutationFn: ({ id, fields }: { id: string; fields: Found }) =>
      answered(api.POST('/api/tray/{id}/found', { params: { path: { id } }, body: fields })),
    onSuccess,
  })
  const done = useMutation({
    mutationFn: ({ id, fields }: { id: string; fields: DoneWith }) =>
      answered(api.POST('/api/tray/{id}/done', { params: { path: { id } }, body: fields })),
    onSuccess,
  })
  return { found, done }
}
