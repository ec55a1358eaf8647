import { answer } from '../../api/client'

/** A photo beside the target as the server straightens it: one plane, true to scale. */
export async function flatPhoto(file: File, query: URLSearchParams) {
  let mmPerPx = 0
  const picture = await answer<Blob>(
    (async () => {
      const response = await fetch(`/api/library/flat-photo?${query}`, {
        method: 'POST',
        headers: { 'Content-Type': file.type || 'image/jpeg' },
        body: file,
      })
      mmPerPx = Number(response.headers.get('Mm-Per-Px'))
      return response.ok ? { data: await response.blob(), response } : { error: await response.json(), response }
    })(),
  )
  return { picture, mmPerPx }
}
