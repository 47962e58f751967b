import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { toValue, type MaybeRefOrGetter } from 'vue'
import { answered, api, type Schemas } from './client'

export type Almanac = Schemas['AlmanacBody']
export type AlmanacRow = Schemas['AlmanacRow']
export type PickedSeason = Schemas['SeasonBody']
export type Vow = Schemas['VowBody']

/** What the seasons taught. */
export function useAlmanac() {
  return useQuery({
    queryKey: ['almanac'],
    queryFn: () => answered(api.GET('/api/almanac')),
    staleTime: 0,
  })
}

export function useSetSeason() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: ({ fruit, ...body }: { fruit: string; from: number; to: number; usual?: boolean }) =>
      answered(api.PUT('/api/almanac/seasons/{fruit}', { params: { path: { fruit } }, body })),
    onSuccess: (all) => {
      queries.setQueryData(['almanac'], all)
      void queries.invalidateQueries({ queryKey: ['wants'] })
    },
  })
}

/** What the cook swore to do differently: of a product, or of all. */
export function useVows(product: MaybeRefOrGetter<string> = '') {
  return useQuery({
    queryKey: ['vows', product],
    queryFn: () => answered(api.GET('/api/vows', { params: { query: { product: toValue(product) } } })),
  })
}

export function useVowChanges() {
  const queries = useQueryClient()
  const onSuccess = () => queries.invalidateQueries({ queryKey: ['vows'] })
  const add = useMutation({
    mutationFn: (body: Schemas['VowFields']) => answered(api.POST('/api/vows', { body })),
    onSuccess,
  })
  const keep = useMutation({
    mutationFn: ({ id, kept }: { id: string; kept: boolean }) =>
      answered(api.POST('/api/vows/{id}/kept', { params: { path: { id } }, body: { kept } })),
    onSuccess,
  })
  const remove = useMutation({
    mutationFn: (id: string) => answered(api.DELETE('/api/vows/{id}', { params: { path: { id } } })),
    onSuccess,
  })
  return { add, keep, remove }
}
