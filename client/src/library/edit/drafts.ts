import type { DocumentPath } from '../documents'

/** A document that is being described on this device: kept from the first stroke until it is kept or thrown away. */
export interface Draft {
  text: string
  /** The version it was begun from; 0 where none stands. */
  seen: number
  /** The board that a block is described for. */
  under?: string
}

const key = (what: DocumentPath, id: string) => `draft/${what}/${id}`

export const draftOf = (what: DocumentPath, id: string): Draft | undefined => {
  const kept = localStorage.getItem(key(what, id))
  return kept ? (JSON.parse(kept) as Draft) : undefined
}

/** @returns False where this device has no room for it: it lives as long as the page then. */
export const keepDraft = (what: DocumentPath, id: string, draft: Draft) => {
  try {
    localStorage.setItem(key(what, id), JSON.stringify(draft))
    return true
  } catch {
    return false
  }
}

export const dropDraft = (what: DocumentPath, id: string) => localStorage.removeItem(key(what, id))

/** Drafts on this device, with the address each goes on at. */
export const drafts = () =>
  Object.keys(localStorage)
    .filter((k) => k.startsWith('draft/'))
    .map((k) => k.split('/') as [string, DocumentPath, string])
    .map(([, what, id]) => ({ what, id, to: `/library/${what}/${id}/edit` }))
