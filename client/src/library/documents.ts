import { answer, type Schemas } from '../api/client'

/** The kinds of documents that a library keeps, as its addresses name them. */
export type DocumentPath = 'boards' | 'blocks' | 'cards' | 'sockets' | 'machines'

/** One call about one document, whatever its kind. */
const call = async <T>(path: string, init?: RequestInit): Promise<{ data: T; response: Response }> => {
  const response = await fetch(path, init)
  const body = response.status === 204 ? undefined : await response.json()
  const data = await answer(
    Promise.resolve({
      data: response.ok ? ((body ?? {}) as T) : undefined,
      error: response.ok ? undefined : body,
      response,
    }),
  )
  return { data: data as T, response }
}
const json = { 'Content-Type': 'application/json' }
const one = (what: DocumentPath, id: string) => `/api/${what}/${encodeURIComponent(id)}`

export const versionsOf = async (what: DocumentPath, id: string) =>
  (await call<Schemas['DocumentVersion'][]>(`${one(what, id)}/versions`)).data

export const isArchived = async (what: DocumentPath, id: string) =>
  (await call<Schemas['ArchivedState']>(`${one(what, id)}/archived`)).data.archived

export const archive = (what: DocumentPath, id: string, archived: boolean) =>
  call(`${one(what, id)}/archived`, { method: 'PUT', headers: json, body: JSON.stringify({ archived }) })

export const remove = (what: DocumentPath, id: string) => call(one(what, id), { method: 'DELETE' })

/** What keeping a document would change in open jobs; nothing is kept. */
export const consequencesOf = async (text: string) =>
  (
    await call<Schemas['DocumentConsequences']>('/api/library/consequences', {
      method: 'POST',
      headers: json,
      body: text,
    })
  ).data

/** Keeps a document as the version after the newest. */
export const putDocument = async (what: DocumentPath, id: string, text: string, by: string) => {
  const newest = (await versionsOf(what, id))[0].version
  return call(`${one(what, id)}${by ? `?by=${encodeURIComponent(by)}` : ''}`, {
    method: 'PUT',
    headers: { ...json, 'If-Match': `"${newest}"` },
    body: text,
  })
}
