import { useState } from 'react'
import { Button } from '../ui/Button'
import { Dialog } from '../ui/Dialog'
import { useInitials } from './settings'

/** Whose initials go on the traveller from this screen. */
export function SignDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
  const [initials, set] = useInitials()
  const [text, setText] = useState(initials)
  const good = /^\p{L}{1,4}$/u.test(text)
  return (
    <Dialog open={open} onClose={onClose} title="Who signs here">
      <form
        onSubmit={(e) => {
          e.preventDefault()
          if (good) {
            set(text.toUpperCase())
            onClose()
          }
        }}
        className="flex items-end gap-3"
      >
        <label className="flex-1">
          Bench initials, one to four letters
          <input
            value={text}
            onChange={(e) => setText(e.target.value)}
            maxLength={4}
            className="mt-1 block w-full border border-rule bg-raised px-3 py-2 text-[22px] font-bold uppercase"
          />
        </label>
        <Button kind="go" type="submit" disabled={!good}>
          Sign as {text.toUpperCase() || '…'}
        </Button>
      </form>
    </Dialog>
  )
}
