import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { answered, api, type Schemas } from './client'

export type Pot = Schemas['PotBody']
export type PotFields = Schemas['PotFields']
export type Burner = Schemas['BurnerBody']
export type BurnerFields = Schemas['BurnerFields']

export function usePots() {
  return useQuery({ queryKey: ['pots'], queryFn: () => answered(api.GET('/api/pots')) })
}

/** Keeping and removing pots and burners; plans follow. */
export function usePotChanges() {
  const queries = useQueryClient()
  const onSuccess = (all: Schemas['PotsOutputBody']) => {
    queries.setQueryData(['pots'], all)
    void queries.invalidateQueries({ queryKey: ['plan'] })
  }
  const keepPot = useMutation({
    mutationFn: ({ id, fields }: { id?: string; fields: PotFields }) =>
      answered(
        id
          ? api.PUT('/api/pots/{id}', { params: { path: { id } }, body: fields })
          : api.POST('/api/pots', { body: fields }),
      ),
    onSuccess,
  })
  const removePot = useMutation({
    mutationFn: (id: string) => answered(api.DELETE('/api/pots/{id}', { params: { path: { id } } })),
    onSuccess,
  })
  const keepBurner = useMutation({
    mutationFn: ({ id, fields }: { id?: string; fields: BurnerFields }) =>
      answered(
        id
          ? api.PUT('/api/burners/{id}', { params: { path: { id } }, body: fields })
          : api.POST('/api/burners', { body: fields }),
      ),
    onSuccess,
  })
  const removeBurner = useMutation({
    mutationFn: (id: string) => answered(api.DELETE('/api/burners/{id}', { params: { path: { id } } })),
    onSuccess,
  })
  return { keepPot, removePot, keepBurner, removeBurner }
}
