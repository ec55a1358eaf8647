import { useState } from 'react'
import { told } from '../../api/client'
import { Section } from '../../stations/Ledger'
import { Button } from '../../ui/Button'
import { FigureField, figureOf as figure, figureLook as look } from '../../ui/FigureField'
import { FileButton } from '../../ui/FileButton'
import { flatPhoto } from './flatPhoto'
import { fitted, laid, type Spot, type Underlay } from './underlay'
import type { Editor } from './useEditor'

/** A scan, photo or manual's page under the drawing, laid to scale by two spots whose places are known. */
export function UnderlayTool({
  editor,
  prefix,
  below,
  under,
  middle,
  widthMm,
  spots,
  onLay,
  onAsk,
}: {
  editor: Editor
  prefix: string
  /** What is described is seen from below: a block's underside. */
  below: boolean
  under?: Underlay
  /** Of the drawing, mm. */
  middle: Spot
  widthMm: number
  /** Clicked so far. */
  spots: Spot[]
  onLay: (u: Underlay | undefined) => void
  /** Asks for two clicks on the mat. */
  onAsk: () => void
}) {
  const [file, setFile] = useState<File>()
  const [page, setPage] = useState('1')
  const [pages, setPages] = useState(1)
  const [said, setSaid] = useState<string[]>([])
  const [height, setHeight] = useState('')
  const [fault, setFault] = useState<string>()
  const show = async (picture: Blob, mmPerPx?: number) => {
    const url = URL.createObjectURL(picture)
    const image = new Image()
    image.src = url
    await image.decode()
    onLay(laid(url, image.naturalWidth, image.naturalHeight, mmPerPx ?? widthMm / image.naturalWidth, middle))
    setSaid([])
  }
  /** A board described from a picture is no surer than it; one that stands already is only looked at against it. */
  const grade = (by: 'scan' | 'page') =>
    editor.seen === 0 && !prefix ? editor.apply([{ do: 'grade', by }]) : Promise.resolve()
  const open = async (f: File, at: string) => {
    setFault(undefined)
    setFile(f)
    try {
      if (/\.pdf$/i.test(f.name) || f.type === 'application/pdf') {
        const { pdfPage } = await import('./pdfPage')
        const drawn = await pdfPage(f, Number(at) || 1)
        setPages(drawn.pages)
        await show(drawn.picture, drawn.mmPerPx)
        await grade('page')
      } else {
        setPages(1)
        await show(f)
      }
    } catch (e) {
      setFault(e instanceof DOMException ? `${f.name} is no picture that can be shown.` : told(e))
    }
  }
  /** One plane of a photo with the target in it, as the server sees it from straight above. */
  const flat = async (f: File) => {
    setFault(undefined)
    setFile(undefined)
    try {
      const query = new URLSearchParams({ heightMm: String(figure(height || '0')), fromBelow: String(below) })
      const { picture, mmPerPx } = await flatPhoto(f, query)
      await show(picture, mmPerPx)
      await grade('scan')
    } catch (e) {
      setFault(told(e))
    }
  }
  const value = (i: number) => said[i] ?? (spots[Math.floor(i / 2)]?.[i % 2].toFixed(2) || '')
  const lay = async () => {
    if (!under) return
    const v = [0, 1, 2, 3].map((i) => figure(value(i)))
    onLay(
      fitted(under, spots as [Spot, Spot], [
        [v[0], v[1]],
        [v[2], v[3]],
      ]),
    )
    await grade('scan')
  }
  return (
    <Section title="A picture under the drawing">
      <FileButton accept="image/png,image/jpeg,application/pdf,.pdf" onFile={(f) => void open(f, page)}>
        {under ? 'Another picture' : 'Lay a scan or a manual’s page under it'}
      </FileButton>
      <div className="mt-1.5 flex flex-wrap items-end gap-2">
        <FileButton accept="image/png,image/jpeg" onFile={(f) => void flat(f)}>
          Or a photo beside the target
        </FileButton>
        <FigureField
          label={below ? 'its face over the target, mm' : 'its surface over the target, mm'}
          value={height}
          onChange={setHeight}
          narrow
        />
      </div>
      {file && pages > 1 && (
        <label className="mt-1.5 flex items-center gap-2 text-[14px] text-soft">
          page, of {pages}
          <input
            value={page}
            inputMode="numeric"
            onChange={(e) => setPage(e.target.value)}
            onKeyDown={(e) => e.key === 'Enter' && void open(file, page)}
            className={`${look} !mt-0 !w-20`}
          />
        </label>
      )}
      {fault && (
        <p role="alert" className="mt-1 text-plum">
          {fault}
        </p>
      )}
      {under && (
        <>
          <p className="mt-1.5 text-[14px] leading-snug text-soft">
            Click two spots in the picture whose places you know, two holes far apart, and say where they lie.
          </p>
          <div className="mt-1 flex flex-wrap gap-2">
            <Button kind={spots.length < 2 ? 'go' : 'plain'} onClick={onAsk}>
              {spots.length === 0 ? 'Click two spots' : `${spots.length} of 2 clicked`}
            </Button>
            <Button onClick={() => onLay(undefined)}>Take it away</Button>
          </div>
          {spots.length === 2 && (
            <>
              <div className="mt-1.5 grid grid-cols-4 gap-1.5">
                {['first x', 'first y', 'second x', 'second y'].map((label, i) => (
                  <label key={label} className="block text-[13px] text-soft">
                    {label}
                    <input
                      value={value(i)}
                      inputMode="decimal"
                      onChange={(e) => setSaid([0, 1, 2, 3].map((k) => (k === i ? e.target.value : value(k))))}
                      className={look}
                    />
                  </label>
                ))}
              </div>
              <Button kind="go" className="mt-1.5" onClick={() => void lay()}>
                Lay it so
              </Button>
            </>
          )}
        </>
      )}
    </Section>
  )
}
