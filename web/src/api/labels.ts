import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { answered, api, type Schemas } from './client'

export type Labels = Schemas['LabelsBody']
export type Sheet = Schemas['SheetBody']
export type SheetFields = Schemas['SheetFields']

export function useLabels() {
  return useQuery({ queryKey: ['labels'], queryFn: () => answered(api.GET('/api/labels')) })
}

/** Which labels, and on what; as the files take it. */
export type LabelQuery = {
  sheet: string
  jars: string
  load: string
  place: string
  q: string
  boxes: boolean
  first: number
  copies: number
  noCode: boolean
  outline: boolean
}

export const queryOf = (q: LabelQuery) =>
  new URLSearchParams(Object.entries(q).map(([k, v]) => [k, String(v)])).toString()

/** How many labels that is, and what had no room; or a Problem. */
export const lookAtLabels = (query: LabelQuery) =>
  answered(api.GET('/api/labels/look', { params: { query } }), 'query.')

export function useLabelChanges() {
  const queries = useQueryClient()
  const onSuccess = (all: Labels) => queries.setQueryData(['labels'], all)
  const keep = useMutation({
    mutationFn: ({ id, fields }: { id?: string; fields: SheetFields }) =>
      answered(
        id
          ? api.PUT('/api/labels/sheets/{id}', { params: { path: { id } }, body: fields })
          : api.POST('/api/labels/sheets', { body: fields }),
      ),
    onSuccess,
  })
  const remove = useMutation({
    mutationFn: (id: string) => answered(api.DELETE('/api/labels/sheets/{id}', { params: { path: { id } } })),
    onSuccess,
  })
  const setAddress = useMutation({
    mutationFn: (address: string) => answered(api.PUT('/api/labels/address', { body: { address } })),
    onSuccess,
  })
  const print = useMutation({
    mutationFn: (query: LabelQuery) =>
      answered(api.POST('/api/labels/print', { params: { query: { ...query, sheet: '' } } })),
    onSuccess,
  })
  return { keep, remove, setAddress, print }
}
