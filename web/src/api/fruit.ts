import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { answered, api, type Schemas } from './client'

export type Fruit = Schemas['FruitOutputBody']
export type Lot = Schemas['LotBody']
export type LotFields = Schemas['LotFields']
export type Closing = Schemas['ClosingBody']
export type PastTyped = Schemas['PastTyped']
export type ClosingFields = Schemas['ClosingFields']

export function useFruit() {
  return useQuery({ queryKey: ['fruit'], queryFn: () => answered(api.GET('/api/fruit')) })
}

/** Lots, containers and varieties; plans that take from a lot follow. */
export function useFruitChanges() {
  const queries = useQueryClient()
  const onSuccess = (all: Fruit) => {
    queries.setQueryData(['fruit'], all)
    void queries.invalidateQueries({ queryKey: ['plan'] })
  }
  const keepLot = useMutation({
    mutationFn: ({ id, fields }: { id?: string; fields: LotFields }) =>
      answered(
        id
          ? api.PUT('/api/lots/{id}', { params: { path: { id } }, body: fields })
          : api.POST('/api/lots', { body: fields }),
      ),
    onSuccess,
  })
  const tap = useMutation({
    mutationFn: ({ id, ripeness }: { id: string; ripeness: 'hard' | 'nearly' | 'ready' | 'past' }) =>
      answered(api.POST('/api/lots/{id}/tap', { params: { path: { id } }, body: { ripeness } })),
    onSuccess,
  })
  const gone = useMutation({
    mutationFn: ({ id, gone }: { id: string; gone: boolean }) =>
      answered(api.POST('/api/lots/{id}/gone', { params: { path: { id } }, body: { gone } })),
    onSuccess,
  })
  const keepContainer = useMutation({
    mutationFn: (body: Schemas['ContainerFields']) => answered(api.POST('/api/containers', { body })),
    onSuccess,
  })
  const keepVariety = useMutation({
    mutationFn: (body: Schemas['VarietyFields']) => answered(api.POST('/api/varieties', { body })),
    onSuccess,
  })
  return { keepLot, tap, gone, keepContainer, keepVariety }
}

export function useClosings() {
  return useQuery({ queryKey: ['closings'], queryFn: () => answered(api.GET('/api/closings')) })
}

/** The closed batches after the newest so many. */
export async function olderClosings(skip: number): Promise<Closing[]> {
  return (await answered(api.GET('/api/closings', { params: { query: { skip } } }))) ?? []
}

/** Closing a batch, and what is learned from. */
export function useClosingChanges() {
  const queries = useQueryClient()
  const onSuccess = (all: Closing[] | null) => {
    queries.setQueryData(['closings'], all ?? [])
    for (const key of ['plan', 'fruit', 'batches']) void queries.invalidateQueries({ queryKey: [key] })
  }
  const close = useMutation({
    mutationFn: ({ id, fields }: { id: string; fields: ClosingFields }) =>
      answered(api.POST('/api/batches/{id}/close', { params: { path: { id } }, body: fields })),
    onSuccess,
  })
  const onPast = (all: Schemas['PastOutputBody']) => onSuccess(all.closings)
  const typePast = useMutation({
    mutationFn: (body: PastTyped) => answered(api.POST('/api/closings/typed', { body })),
    onSuccess: onPast,
  })
  const importPast = useMutation({
    mutationFn: (csv: string) => answered(api.POST('/api/closings/import', { body: { csv } })),
    onSuccess: onPast,
  })
  const forget = useMutation({
    mutationFn: ({ id, forgotten }: { id: string; forgotten: boolean }) => {
      const params = { path: { id } }
      return answered(
        forgotten
          ? api.POST('/api/closings/{id}/forget', { params })
          : api.POST('/api/closings/{id}/remember', { params }),
      )
    },
    onSuccess,
  })
  const openAgain = useMutation({
    mutationFn: (id: string) => answered(api.DELETE('/api/closings/{id}', { params: { path: { id } } })),
    onSuccess,
  })
  return { close, typePast, importPast, forget, openAgain }
}
