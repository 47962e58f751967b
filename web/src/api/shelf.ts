import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import type { Ref } from 'vue'
import { answered, api, type Schemas } from './client'

export type Shelf = Schemas['ShelfBody']
export type Place = Schemas['PlaceOnShelf']
export type JarGroup = Schemas['JarGroupBody']
export type ShelfJar = Schemas['ShelfJarBody']
export type JarPage = Schemas['JarPageBody']
export type ToldOfJar = Schemas['ToldFields']
export type JarFields = Schemas['JarFields']
export type Round = Schemas['RoundBody']
export type JarState = 'here' | 'gone' | 'all'

export function useShelf() {
  return useQuery({ queryKey: ['shelf'], queryFn: () => answered(api.GET('/api/shelf')) })
}

export function useJar(id: Ref<string>) {
  return useQuery({
    queryKey: ['jar', id],
    queryFn: () => answered(api.GET('/api/shelf/jars/{id}', { params: { path: { id: id.value } } })),
    enabled: () => !!id.value,
    retry: false,
  })
}

export function useRound() {
  return useQuery({ queryKey: ['shelf', 'round'], queryFn: () => answered(api.GET('/api/shelf/round')) })
}

/** The jars of a batch that was closed by hand and are not on the shelf yet, a size a time. */
export function useJarsOfBatch(id: string) {
  return useQuery({
    queryKey: ['shelf', 'from-batch', id],
    queryFn: () => answered(api.GET('/api/shelf/from-batch/{id}', { params: { path: { id } } })),
    enabled: !!id,
    retry: false,
  })
}

/** How many jars are asked for at once. */
export const pageOfJars = 100

/** A page of the jars that are found. */
export function findJars(q: string, state: JarState, newest: boolean, skip: number) {
  return answered(
    api.GET('/api/shelf/jars', { params: { query: { q, state, newest, skip, limit: pageOfJars } } }),
  )
}

/** The first of the jars that are found; nothing is asked for before there is a word. */
export function useFound(words: Ref<string>) {
  return useQuery({
    queryKey: ['shelf', 'found', words],
    queryFn: () => findJars(words.value, 'here', false, 0),
    enabled: () => words.value.trim() !== '',
    placeholderData: keepPreviousData,
  })
}

/** What is done with jars and places; all that shows them follows. */
export function useShelfChanges() {
  const queries = useQueryClient()
  const changed = () => {
    for (const key of ['shelf', 'jar', 'recall', 'recalls', 'wants', 'bench', 'trace'])
      void queries.invalidateQueries({ queryKey: [key] })
  }
  const tell = useMutation({
    mutationFn: ({ id, fields }: { id: string; fields: ToldOfJar }) =>
      answered(api.POST('/api/shelf/jars/{id}/tell', { params: { path: { id } }, body: fields })),
    onSettled: changed,
  })
  const words = useMutation({
    mutationFn: ({ id, fields }: { id: string; fields: Schemas['JarWordsFields'] }) =>
      answered(api.PUT('/api/shelf/jars/{id}', { params: { path: { id } }, body: fields })),
    onSuccess: changed,
  })
  const add = useMutation({
    mutationFn: (body: JarFields) => answered(api.POST('/api/shelf/jars', { body })),
    onSuccess: changed,
  })
  const keepPlace = useMutation({
    mutationFn: ({ id, fields }: { id?: string; fields: Schemas['PlaceFieldsOfShelf'] }) =>
      answered(
        id
          ? api.PUT('/api/shelf/places/{id}', { params: { path: { id } }, body: fields })
          : api.POST('/api/shelf/places', { body: fields }),
      ),
    onSuccess: changed,
  })
  const removePlace = useMutation({
    mutationFn: (id: string) => answered(api.DELETE('/api/shelf/places/{id}', { params: { path: { id } } })),
    onSuccess: changed,
  })
  return { tell, words, add, keepPlace, removePlace }
}
