import { spawn, type ChildProcess } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const house = join(dirname(fileURLToPath(import.meta.url)), '..', '..')

/** The published server in its own process on a data folder of its own. */
export class Server {
  readonly data = mkdtempSync(join(tmpdir(), 'fb-e2e-'))
  private process?: ChildProcess
  address = ''

  async start() {
    const port = await freePort(this.address ? Number(new URL(this.address).port) : 0)
    this.address = `http://127.0.0.1:${port}`
    const args = [
      join(house, '.run/app/FaithfulBracket.Server.dll'),
      '--urls',
      this.address,
      '--data',
      this.data,
      '--demo',
      join(house, 'demo'),
      '--client',
      join(house, 'client/dist'),
    ]
    const child = spawn('dotnet', args, { stdio: ['ignore', 'pipe', 'inherit'] })
    this.process = child
    await new Promise<void>((ready, failed) => {
      child.stdout!.on('data', (d) => String(d).includes('Application started') && ready())
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

const freePort = (wanted: number) =>
  new Promise<number>((got) => {
    const s = createServer()
    s.listen(wanted, '127.0.0.1', () => {
      const { port } = s.address() as { port: number }
      s.close(() => got(port))
    })
  })
