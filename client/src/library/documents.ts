import { fetched, type Schemas } from '../api/client'

/** The kinds of documents that a library keeps, as its addresses name them. */
export type DocumentPath = 'boards' | 'blocks' | 'cards' | 'sockets' | 'machines'

const json = { 'Content-Type': 'application/json' }
const one = (what: DocumentPath, id: string) => `/api/${what}/${encodeURIComponent(id)}`

export const versionsOf = (what: DocumentPath, id: string) =>
  fetched<Schemas['DocumentVersion'][]>(`${one(what, id)}/versions`)

export const isArchived = async (what: DocumentPath, id: string) =>
  (await fetched<Schemas['ArchivedState']>(`${one(what, id)}/archived`)).archived

export const archive = (what: DocumentPath, id: string, archived: boolean) =>
  fetched(`${one(what, id)}/archived`, { method: 'PUT', headers: json, body: JSON.stringify({ archived }) })

export const remove = (what: DocumentPath, id: string) => fetched(one(what, id), { method: 'DELETE' })

/** What keeping a document would change in open jobs; nothing is kept. */
export const consequencesOf = (text: string) =>
  fetched<Schemas['DocumentConsequences']>('/api/library/consequences', { method: 'POST', headers: json, body: text })

/** Keeps a document as the version after the one that was seen. */
export const putDocument = (what: DocumentPath, id: string, text: string, seen: number, by: string) =>
  fetched(`${one(what, id)}${by ? `?by=${encodeURIComponent(by)}` : ''}`, {
    method: 'PUT',
    headers: { ...json, 'If-Match': `"${seen}"` },
    body: text,
  })
