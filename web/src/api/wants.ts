import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import type { Ref } from 'vue'
import { answered, api, type Schemas } from './client'

export type Wants = Schemas['WantsBody']
export type Want = Schemas['WantBody']
export type WantFields = Schemas['WantFields']
export type Bench = Schemas['BenchBody']
export type BenchEntry = Schemas['BenchEntry']
export type MarkFields = Schemas['MarkFields']

export function useWants() {
  return useQuery({ queryKey: ['wants'], queryFn: () => answered(api.GET('/api/wants')) })
}

export function useWantChanges() {
  const queries = useQueryClient()
  const onSuccess = (all: Wants) => queries.setQueryData(['wants'], all)
  const keep = useMutation({
    mutationFn: ({ id, fields }: { id?: string; fields: WantFields }) =>
      answered(
        id
          ? api.PUT('/api/wants/{id}', { params: { path: { id } }, body: fields })
          : api.POST('/api/wants', { body: fields }),
      ),
    onSuccess,
  })
  const remove = useMutation({
    mutationFn: (id: string) => answered(api.DELETE('/api/wants/{id}', { params: { path: { id } } })),
    onSuccess,
  })
  return { keep, remove }
}

export function useBench(year: Ref<number>) {
  return useQuery({
    queryKey: ['bench', year],
    queryFn: () => answered(api.GET('/api/bench/{year}', { params: { path: { year: year.value } } })),
  })
}

export function useBenchChanges(year: Ref<number>) {
  const queries = useQueryClient()
  const onSuccess = (all: Bench) => queries.setQueryData(['bench', all.year], all)
  const mark = useMutation({
    mutationFn: ({ jar, fields }: { jar: string; fields: MarkFields }) =>
      answered(
        api.PUT('/api/bench/{year}/{jar}', { params: { path: { year: year.value, jar } }, body: fields }),
      ),
    onSuccess,
  })
  const off = useMutation({
    mutationFn: (jar: string) =>
      answered(api.DELETE('/api/bench/{year}/{jar}', { params: { path: { year: year.value, jar } } })),
    onSuccess,
  })
  return { mark, off }
}
