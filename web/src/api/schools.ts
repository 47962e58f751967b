import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { answered, api, type Schemas } from './client'

export type Question = Schemas['QuestionBody']

export function useSchools() {
  return useQuery({ queryKey: ['schools'], queryFn: () => answered(api.GET('/api/schools')) })
}

/** Follows a school; what depends on it is asked for again. */
export function useChooseSchool() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: ({ question, choice }: { question: string; choice: string }) =>
      answered(api.PUT('/api/schools/{question}', { params: { path: { question } }, body: { choice } })),
    onSuccess: (all) => {
      queries.setQueryData(['schools'], all)
      for (const key of ['plan', 'first']) void queries.invalidateQueries({ queryKey: [key] })
    },
  })
}
