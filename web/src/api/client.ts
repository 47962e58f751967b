import createClient from 'openapi-fetch'
import type { components, paths } from './schema'

export type Schemas = components['schemas']
export type Plan = Schemas['PlanBody']
export type Request = Schemas['RequestBody']
export type Catalogue = Schemas['CatalogueBody']
export type Product = Schemas['ProductChoice']
export type Choice = Schemas['Choice']
export type Liquid = Schemas['LiquidBody']
export type BatchLine = Schemas['BatchLine']
export type SavedBatch = Schemas['BatchBody']
export type Kitchen = Schemas['KitchenBody']

/** The one client of the API. */
export const api = createClient<paths>({ baseUrl: '/' })

/** What the server did not understand, by field; or one sentence where it did not answer as it should. */
export class Problem extends Error {
  constructor(
    message: string,
    readonly fields: Record<string, string>,
    readonly status: number,
  ) {
    super(message)
  }
}

type Answer<T> = { data?: T; error?: Schemas['ErrorModel']; response: Response }

/** Gives the data of an answer, or throws its Problem; field names lose the given prefix. */
export async function answered<T>(asked: Promise<Answer<T>>, prefix = 'body.'): Promise<T> {
  let answer: Answer<T>
  try {
    answer = await asked
  } catch {
    throw new Problem(
      'The kitchen does not answer. Is the program still running? What you typed is kept here.',
      {},
      0,
    )
  }
  if (answer.error !== undefined || !answer.response.ok) {
    const fields: Record<string, string> = {}
    for (const e of answer.error?.errors ?? []) {
      if (e.location) fields[e.location.replace(prefix, '')] = e.message ?? ''
    }
    throw new Problem(answer.error?.detail ?? 'That did not work.', fields, answer.response.status)
  }
  return answer.data as T
}
