import { GlobalWorkerOptions, getDocument } from 'pdfjs-dist'
import worker from 'pdfjs-dist/build/pdf.worker.min.mjs?url'

GlobalWorkerOptions.workerSrc = worker

/** ISO 32000-1: a unit of a page is 1/72 inch. */
const mmPerUnit = 25.4 / 72
const mostPages = 400
const mostPixels = 16_000_000

/** One page of a PDF as a picture, with the millimetres of a pixel that its own size tells. */
export async function pdfPage(file: File, page: number) {
  const document = await getDocument({ data: await file.arrayBuffer(), isEvalSupported: false }).promise
  try {
    if (document.numPages > mostPages)
      throw new Error(
        `${file.name} has ${document.numPages} pages; at most ${mostPages} are read. Save the page alone.`,
      )
    if (page < 1 || page > document.numPages)
      throw new Error(`${file.name} has pages 1 to ${document.numPages}, none is ${page}.`)
    const shown = await document.getPage(page)
    const plain = shown.getViewport({ scale: 1 })
    const scale = Math.min(4, Math.sqrt(mostPixels / (plain.width * plain.height)))
    const viewport = shown.getViewport({ scale })
    const canvas = window.document.createElement('canvas')
    canvas.width = Math.round(viewport.width)
    canvas.height = Math.round(viewport.height)
    await shown.render({ canvas, viewport }).promise
    const picture = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png'))
    if (!picture) throw new Error(`Page ${page} of ${file.name} cannot be drawn.`)
    return { picture, pages: document.numPages, mmPerPx: mmPerUnit / scale }
  } finally {
    await document.destroy()
  }
}
