import { Refusal, type Schemas } from '../../api/client'

export type Answer = Schemas['PasteAnswer']

/** Runs a squeeze; tells its progress, 0 to 1, and can be stopped. */
export async function simulate(
  body: object,
  onProgress: (share: number) => void,
  signal: AbortSignal,
): Promise<Answer> {
  const response = await fetch('/api/paste/simulate', {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
    signal,
  })
  if (!response.ok) {
    const p = (await response.json()) as {
      title?: string
      detail?: string
      errors?: { pointer: string; message: string }[]
    }
    throw new Refusal(
      response.status,
      p.title ?? 'Refused',
      p.errors?.[0]?.message ?? p.detail ?? '',
      p.errors ?? [],
      [],
      [],
    )
  }
  const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader()
  let rest = ''
  let answer: Answer | undefined
  for (;;) {
    const { value, done } = await reader.read()
    if (done) break
    const lines = (rest + value).split('\n')
    rest = lines.pop()!
    for (const line of lines) {
      const said = JSON.parse(line) as { progress?: number }
      if (said.progress !== undefined) onProgress(said.progress)
      else answer = said as unknown as Answer
    }
  }
  if (!answer) throw new Error('The simulation was cut off.')
  return answer
}
