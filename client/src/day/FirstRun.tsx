import { useSetup } from '../api/queries'
import { Link } from '../app/router'

const todo = {
  signer: ['Who signs', 'Enter initials and a name. Every step, reading and note is signed by somebody.', '/settings'],
  board: [
    'The first card',
    'Drop its layout files or a document, or trace a photo beside the printed target.',
    '/library/trace',
  ],
  block: [
    'The first block',
    'Describe it on the page of its card, or drop its document. It is judged on every card you have.',
    '/library',
  ],
} as const
const mark = 'grid h-7 w-7 shrink-0 place-items-center rounded-full border-2'
type Todo = keyof typeof todo

/** What a shop of one's own begins with, each ticked when it is done; gone when all are. */
export function FirstRun() {
  const setup = useSetup().data
  if (!setup || setup.demo || setup.open.length === 0) return null
  return (
    <section className="mb-4 border-t-4 border-copper bg-card px-5 py-4" aria-label="To begin with">
      <h2 className="text-[22px] font-bold">A shop of your own: three things to begin with</h2>
      <ol className="mt-2">
        {(Object.keys(todo) as Todo[]).map((k) => {
          const done = setup.done.includes(k)
          const [name, how, to] = todo[k]
          return (
            <li key={k} className="flex items-start gap-3 border-b border-rule/60 py-2">
              <b
                className={`${mark} ${done ? 'border-cool text-cool' : 'border-copper text-copper'}`}
                role="img"
                aria-label={done ? 'done' : 'to be done'}
              >
                {done ? '✓' : ''}
              </b>
              <span className="min-w-0 flex-1">
                {done ? (
                  <span className="text-[18px] text-soft">{name}</span>
                ) : (
                  <Link to={to} className="text-[18px] font-semibold text-copper underline underline-offset-3">
                    {name}
                  </Link>
                )}
                {!done && <span className="block text-[15px] leading-snug text-soft">{how}</span>}
              </span>
            </li>
          )
        })}
      </ol>
    </section>
  )
}
