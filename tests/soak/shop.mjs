// The server under test in its own process: started, killed without warning, started again on the same data.
import { spawn } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

export class Shop {
  data = mkdtempSync(join(tmpdir(), 'fb-soak-'))
  starts = 0
  peakMb = 0
  /** What the server said of changes that took long. */
  slowChanges = []

  constructor(dll, house) {
    Object.assign(this, { dll, house })
  }

  async start() {
    const args = [
      this.dll,
      '--urls',
      'http://127.0.0.1:0',
      '--data',
      this.data,
      '--demo',
      join(this.house, 'demo'),
      '--lan',
      'true',
      '--lan-port',
      '0',
    ]
    const child = spawn('dotnet', args, { stdio: ['ignore', 'pipe', 'pipe'] })
    this.child = child
    this.starts++
    this.log = ''
    child.stderr.on('data', (d) => (this.log += d))
    this.address = await new Promise((ready, failed) => {
      child.stdout.on('data', (d) => {
        this.log = (this.log + d).slice(-20_000)
        const at = new Date().toISOString()
        for (const slow of String(d).matchAll(/A change took long: .*/g)) this.slowChanges.push(`${at} ${slow[0]}`)
        const listens = /Now listening on: (http:\S+)/.exec(this.log)
        const network = /Now listening on: https:\/\/\S+:(\d+)/.exec(this.log)
        if (network) this.lan = `https://127.0.0.1:${network[1]}`
        if (listens && this.log.includes('Application started')) ready(listens[1])
      })
      child.on('exit', (code) => failed(new Error(`the server ended with ${code}: ${this.log}`)))
    })
    return this
  }

  /** What the server holds in memory, MB. */
  memoryMb() {
    try {
      const kb = /VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${this.child.pid}/status`, 'utf8'))?.[1]
      const mb = Number(kb ?? 0) / 1024
      this.peakMb = Math.max(this.peakMb, mb)
      return mb
    } catch {
      return 0
    }
  }

  get alive() {
    return this.child.exitCode === null && this.child.signalCode === null
  }

  async kill() {
    if (!this.alive) return
    const gone = new Promise((done) => this.child.once('exit', done))
    this.child.kill('SIGKILL')
    await gone
  }

  async end() {
    await this.kill()
    rmSync(this.data, { recursive: true, force: true })
  }
}
