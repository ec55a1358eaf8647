import { type ChildProcess, spawn } from 'node:child_process'
import { cpSync, mkdtempSync, rmSync } from 'node:fs'
import { type AddressInfo, connect, createServer, type Server as Listener, type Socket } from 'node:net'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const house = join(dirname(fileURLToPath(import.meta.url)), '..', '..')

/** The published server in its own process on a data folder of its own. */
export class Server {
  readonly data: string
  private process?: ChildProcess
  address = ''
  /** Where tablets ask, over HTTPS; empty while the shop's network is not served. */
  lan = ''

  /**
   * A shop of one's own, or the demo's; on a folder of its own, or on one that is there; with the shop's network or
   * without; filled now where waits have to run still.
   */
  constructor(private readonly how: { data?: string; lan?: boolean; filledNow?: boolean; own?: boolean } = {}) {
    this.data = how.data ?? mkdtempSync(join(tmpdir(), 'fb-e2e-'))
  }

  /** Takes a free port itself and says which: nobody else can be given it in between. */
  async start() {
    // a demo shop filled once, when the run made one
    const seed = process.env.FB_SEED
    if (seed && !this.process && !this.how.data && !this.how.filledNow && !this.how.own)
      cpSync(seed, this.data, { recursive: true })
    const args = [
      join(house, '.run/app/FaithfulBracket.Server.dll'),
      ...['--urls', 'http://127.0.0.1:0', '--data', this.data],
      ...(this.how.own ? [] : ['--demo', join(house, 'demo')]),
      ...['--client', join(house, 'client/dist')],
      // what nobody looks at here need not be calculated before the first page
      ...['--first-look', 'false'],
      ...(this.how.lan ? ['--lan', 'true', '--lan-port', '0'] : []),
    ]
    const child = spawn('dotnet', args, { stdio: ['ignore', 'pipe', 'inherit'] })
    this.process = child
    this.address = await new Promise<string>((ready, failed) => {
      let said = ''
      child.stdout!.on('data', (d) => {
        said += String(d)
        const at = /Now listening on: (http:\/\/\S+)/.exec(said)
        const lan = /Now listening on: https:\/\/\S+:(\d+)/.exec(said)
        if (lan) this.lan = `https://127.0.0.1:${lan[1]}`
        if (at && said.includes('Application started')) ready(at[1])
      })
      child.on('exit', (code) => failed(new Error(`the server ended with ${code}`)))
    })
    return this
  }

  kill() {
    const child = this.process
    if (!child || child.exitCode !== null) return Promise.resolve()
    return new Promise<void>((done) => {
      child.once('exit', () => done())
      child.kill('SIGKILL')
    })
  }

  async stop() {
    await this.kill()
    rmSync(this.data, { recursive: true, force: true })
  }
}

/** The network between a page and the shop. Pulled, nothing of this device gets through, whoever on it asks. */
export class Cable {
  private listener?: Listener
  private readonly lines = new Set<Socket>()
  private port = 0

  constructor(private readonly shop: string) {}

  get address() {
    return `http://127.0.0.1:${this.port}`
  }

  async plug() {
    const shop = new URL(this.shop)
    const listener = createServer((line) => {
      const on = connect(Number(shop.port), shop.hostname)
      for (const [end, other] of [
        [line, on],
        [on, line],
      ]) {
        this.lines.add(end)
        end.pipe(other)
        end.on('error', () => other.destroy())
        end.on('close', () => this.lines.delete(end) && other.destroy())
      }
    })
    this.listener = listener
    await new Promise<void>((ready) => listener.listen(this.port, '127.0.0.1', ready))
    this.port = (listener.address() as AddressInfo).port
    return this
  }

  pull() {
    this.listener?.close()
    for (const line of this.lines) line.destroy()
  }
}
