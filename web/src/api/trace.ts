import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import type { Ref } from 'vue'
import { answered, api, type Schemas } from './client'

export type Trace = Schemas['TraceBody']
export type TraceOf = Trace['of']
export type Recall = Schemas['RecallBody']

export function useTrace(of: Ref<TraceOf>, ref: Ref<string>) {
  return useQuery({
    queryKey: ['trace', of, ref],
    queryFn: () =>
      answered(api.GET('/api/trace/{of}/{ref}', { params: { path: { of: of.value, ref: ref.value } } })),
    enabled: () => !!ref.value,
  })
}

export function useRecalls() {
  return useQuery({ queryKey: ['recalls'], queryFn: () => answered(api.GET('/api/recalls')) })
}

export function useRecall(id: Ref<string>) {
  return useQuery({
    queryKey: ['recall', id],
    queryFn: () => answered(api.GET('/api/recalls/{id}', { params: { path: { id: id.value } } })),
  })
}

/** Calling jars back, and taking that back; everything that shows jars follows. */
export function useRecallChanges() {
  const queries = useQueryClient()
  const onSuccess = () => void queries.invalidateQueries()
  const callBack = useMutation({
    mutationFn: (body: Schemas['RecallFields']) => answered(api.POST('/api/recalls', { body })),
    onSuccess,
  })
  const undo = useMutation({
    mutationFn: (id: string) => answered(api.DELETE('/api/recalls/{id}', { params: { path: { id } } })),
    onSuccess,
  })
  return { callBack, undo }
}
