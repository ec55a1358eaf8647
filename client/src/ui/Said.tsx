import { figuresIn } from './format'

/** A sentence whose figures stay on one line with their units. */
export const Said = ({ text }: { text: string }) =>
  figuresIn(text).map((t, i) =>
    i % 2 ? (
      <span key={i} className="whitespace-nowrap">
        {t}
      </span>
    ) : (
      t
    ),
  )
