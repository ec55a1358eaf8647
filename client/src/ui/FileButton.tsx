import type { ReactNode } from 'react'

const look =
  'relative inline-flex min-h-9 cursor-pointer items-center rounded-[3px] border border-rule bg-raised px-3 py-1.5 ' +
  'focus-within:outline-3 focus-within:outline-copper'

/** A button that hands over one file; the same one may be chosen again. */
export const FileButton = (p: { accept: string; onFile: (file: File) => void; children: ReactNode }) => (
  <label className={look}>
    {p.children}
    <input
      type="file"
      accept={p.accept}
      className="sr-only"
      onChange={(e) => {
        const file = e.target.files?.[0]
        e.target.value = ''
        if (file) p.onFile(file)
      }}
    />
  </label>
)
