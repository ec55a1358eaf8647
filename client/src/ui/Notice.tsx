import { Refusal } from '../api/client'

/** What went wrong and what to do next. */
export function ErrorNotice({ error, again }: { error: unknown; again?: () => void }) {
  const text = error instanceof Error ? error.message : String(error)
  const title = error instanceof Refusal ? error.title : 'Something broke'
  return (
    <div role="alert" className="m-6 max-w-xl border-l-4 border-plum bg-card p-4">
      <p className="text-[18px] font-bold text-plum">{title}</p>
      <p className="mt-1">{text}</p>
      {again && (
        <button
          type="button"
          className="mt-3 rounded-[3px] bg-copper px-3 py-2 font-bold text-on-copper"
          onClick={again}
        >
          Try again
        </button>
      )}
    </div>
  )
}

export const Loading = ({ what }: { what: string }) => (
  <p className="m-6 text-soft" role="status">
    Loading {what}…
  </p>
)
