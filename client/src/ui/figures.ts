/** How the shop has its figures written: kept on this device, so that a page is right from its first line. */
export const figures = { comma: false, inches: false }

const key = 'fb.figures'
const take = (f: Partial<typeof figures>) => Object.assign(figures, { comma: !!f.comma, inches: !!f.inches })

try {
  take(JSON.parse(localStorage.getItem(key) ?? '{}'))
} catch {
  // a device without a store asks each time
}

export function writeFigures(f: typeof figures) {
  if (f.comma === figures.comma && f.inches === figures.inches) return
  take(f)
  localStorage.setItem(key, JSON.stringify(figures))
}
