import createClient from 'openapi-fetch'
import type { components, paths } from './schema'

export type Schemas = components['schemas']
export type Board = Schemas['Board']
export type Block = Schemas['Block']
export type Part = Schemas['Part']
export type JobView = Schemas['JobView']
export type WorkStep = Schemas['WorkStep']
export type StepState = Schemas['StepState']
export type Station = Schemas['Station']
export type FitResult = Schemas['FitResult']
export type Placement = Schemas['Placement']
export type Face = Schemas['Face']

export const http = createClient<paths>({ baseUrl: '' })

/** What the server refused, with its sentence and the place of each fault. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    message: string,
    readonly errors: { pointer: string; message: string }[],
    readonly waitsFor: string[],
    readonly restsOn: string[],
  ) {
    super(message)
  }
}

type Answer<T> = { data?: T; error?: unknown; response: Response }

/** A document that is sent as it was written. */
export const asJson = (text: string, headers?: Record<string, string>): RequestInit => ({
  method: 'POST',
  headers: { 'Content-Type': 'application/json', ...headers },
  body: text,
})

/** A table that is sent as the file has it. */
export const asCsv = (text: string): RequestInit => ({
  method: 'POST',
  headers: { 'Content-Type': 'text/csv' },
  body: text,
})

/** A call that the described ones do not carry: forms, and one for every kind of document. */
export const fetched = async <T>(path: string, init?: RequestInit): Promise<T> => {
  const asked = async () => {
    const response = await fetch(path, init)
    const body = response.status === 204 ? undefined : await response.json()
    return response.ok ? { data: body as T, response } : { error: body, response }
  }
  return answer(asked())
}

/** The data, or the refusal as an error. */
export async function answer<T>(call: Promise<Answer<T>>): Promise<T> {
  let result: Answer<T>
  try {
    result = await call
  } catch {
    throw new Refusal(
      0,
      'No answer',
      'The server does not answer. Nothing was lost; try again when it runs.',
      [],
      [],
      [],
    )
  }
  if (result.response.ok) return result.data as T
  const p = (result.error ?? {}) as {
    title?: string
    detail?: string
    errors?: { pointer: string; message: string }[]
    waitsFor?: string[]
    restsOn?: string[]
  }
  throw new Refusal(
    result.response.status,
    p.title ?? `Answer ${result.response.status}`,
    p.detail ?? 'The server refused without a reason.',
    p.errors ?? [],
    p.waitsFor ?? [],
    p.restsOn ?? [],
  )
}

export const ifMatch = (version: number) => ({ 'If-Match': `"${version}"` })

/** What went wrong, in a sentence or several. */
export const told = (e: unknown) =>
  e instanceof Refusal ? e.errors.map((f) => f.message).join(' ') || e.message : String(e)
