import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import type { Ref } from 'vue'
import { answered, api, type Problem, type Schemas } from './client'

export type FoundAltitude = Schemas['FoundAltitude']

/** What an altitude means, as it is typed. */
export function useAltitude(typed: Ref<string>) {
  return useQuery<FoundAltitude, Problem>({
    queryKey: ['altitude', typed],
    queryFn: () =>
      answered(api.GET('/api/altitude', { params: { query: { typed: typed.value } } }), 'query.'),
    enabled: () => typed.value.trim() !== '',
    retry: false,
  })
}

export function usePlaces(name: Ref<string>) {
  return useQuery({
    queryKey: ['places', name],
    queryFn: () => answered(api.GET('/api/places', { params: { query: { find: name.value } } })),
    placeholderData: (last) => last,
  })
}

export function useImportPlaces() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (csv: string) => answered(api.POST('/api/places', { body: { csv } })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['places'] }),
  })
}

/** The altitude that boiling water at a temperature means. */
export const altitudeByBoiling = (at: string) =>
  answered(api.GET('/api/altitude/boiling', { params: { query: { at } } }), 'query.')
