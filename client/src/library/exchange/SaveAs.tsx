const names: Record<string, string> = { csv: 'CSV', emn: 'IDF board', emp: 'IDF library', svg: 'SVG', dxf: 'DXF' }

/** Open formats out. */
export function SaveAs({ what, id, forms }: { what: 'boards' | 'blocks'; id: string; forms: string[] }) {
  const look = 'text-copper underline underline-offset-3'
  return (
    <p className="mt-2 text-[14.5px]">
      Save as{' '}
      <a className={look} href={`/api/${what}/${id}`} download={`${id}.${what.slice(0, -1)}.json`}>
        document
      </a>
      {forms.map((f) => (
        <span key={f}>
          ,{' '}
          <a className={look} href={`/api/${what}/${id}/export?form=${f}`} download>
            {names[f]}
          </a>
        </span>
      ))}
    </p>
  )
}
