import { useQuery } from '@tanstack/react-query'
import { answer, type Schemas } from '../api/client'
import { Link } from '../app/router'
import { Button } from '../ui/Button'
import { ErrorNotice, Loading } from '../ui/Notice'

type Check = Schemas['RecordCheck']
const looks: Record<Check['verdict'], [string, string]> = {
  whole: ['Whole', 'border-cool text-cool'],
  changed: ['Changed', 'border-plum text-plum'],
  foreign: ['Not from this shop', 'border-amber text-amber'],
  'no-record': ['No record', 'border-amber text-amber'],
}

/** A build record that came back: whether it is word for word what was given out, and how its documents stand now. */
export function RecordCheck({ file, onDone }: { file: File; onDone: () => void }) {
  const check = useQuery({
    queryKey: ['record-check', file.name, file.size, file.lastModified],
    queryFn: () =>
      answer<Check>(
        fetch('/api/records/check', { method: 'POST', headers: { 'content-type': 'text/html' }, body: file }).then(
          async (response) => ({
            data: response.ok ? await response.json() : undefined,
            error: response.ok ? undefined : await response.json(),
            response,
          }),
        ),
      ),
    retry: false,
  })
  return (
    <section aria-label="Record" className="scroll-thin min-h-0 overflow-y-auto bg-mat p-8" tabIndex={0}>
      <div className="max-w-[62ch] bg-card p-6 shadow-[inset_0_0_0_1px_var(--rule)]">
        <p className="text-[15px] text-soft">{file.name}</p>
        {check.error && <ErrorNotice error={check.error} again={() => check.refetch()} />}
        {!check.data && !check.error && <Loading what="the record" />}
        {check.data && <Told c={check.data} />}
        <Button className="mt-4" onClick={onDone}>
          Close
        </Button>
      </div>
    </section>
  )
}

function Told({ c }: { c: Check }) {
  const [word, look] = looks[c.verdict]
  return (
    <>
      <h1 className={`mt-1 border-l-[6px] pl-3 text-[30px] font-bold leading-tight ${look}`}>{word}</h1>
      <p className="mt-2 text-[18px] leading-snug">{c.text}</p>
      {c.title && (
        <p className="mt-2">
          <Link to={`/job/${c.job}`} className="text-copper underline underline-offset-3">
            {c.title}
          </Link>
        </p>
      )}
      {c.documents.length > 0 && (
        <ul className="mt-3">
          {c.documents.map((d) => (
            <li
              key={d.role + d.id}
              className={`border-t border-rule py-1 ${d.standing === 'same' ? '' : 'font-semibold text-amber'}`}
            >
              {d.text}.
            </li>
          ))}
        </ul>
      )}
    </>
  )
}
