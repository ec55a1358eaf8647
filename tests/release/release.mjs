// Drives a release as a shop does: unpacks it into an empty folder, runs it with nothing installed, does a job's first step,
// installs, upgrades, meets a version that does not start, goes back.
//   node release.mjs ARCHIVE REPOSITORY
import assert from 'node:assert/strict'
import { execFileSync, spawn } from 'node:child_process'
import { cpSync, existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

const [archive, repository] = process.argv.slice(2)
const home = mkdtempSync(join(tmpdir(), 'fb-release-'))
const [to, data] = [join(home, 'installed'), join(home, 'data')]
// no SDK, no Node: nothing but the system's own tools, and no .NET where one may lie
const env = { PATH: '/usr/bin:/bin', HOME: home, DOTNET_ROOT: join(home, 'none'), LANG: 'C.UTF-8' }

const freePort = () =>
  new Promise((done) => {
    const s = createServer().listen(0, '127.0.0.1', () => {
      const { port } = s.address()
      s.close(() => done(port))
    })
  })

const tool = (root, ...args) =>
  execFileSync(join(root, 'faithful-bracket'), args, { env, encoding: 'utf8', stdio: ['ignore', 'pipe', 'pipe'] })
const kept = (root, what) => tool(root, what, '--to', to, '--data', data, '--no-service')
const current = () => execFileSync('readlink', [join(to, 'current')], { encoding: 'utf8' }).trim()

/** Runs a version on the data while something is asked of it. */
async function running(root, ask) {
  const port = await freePort()
  const server = spawn(join(root, 'faithful-bracket'), ['run', '--port', `${port}`, '--data', data], { env, detached: true })
  const ended = new Promise((done) => server.on('exit', done))
  let said = ''
  for (const out of [server.stdout, server.stderr]) out.on('data', (d) => (said += d))
  try {
    const call = async (method, path, body, headers = {}) => {
      const r = await fetch(`http://127.0.0.1:${port}${path}`, {
        method,
        headers: { ...(body ? { 'content-type': 'application/json' } : {}), ...headers },
        body: typeof body === 'object' ? JSON.stringify(body) : body,
      })
      const text = await r.text()
      assert.ok(r.ok, `${method} ${path}: ${r.status} ${text.slice(0, 300)}`)
      return text
    }
    for (let left = 600; ; left--) {
      const up = await fetch(`http://127.0.0.1:${port}/api/setup`).catch(() => undefined)
      if (up?.ok) break
      assert.ok(left > 0 && server.exitCode === null, `it did not start: ${said}`)
      await new Promise((done) => setTimeout(done, 100))
    }
    return await ask(call)
  } finally {
    process.kill(-server.pid, 'SIGTERM')
    await ended
  }
}

/** As the same release under another number. */
function versioned(from, version, spoil) {
  const root = join(home, `unpacked-${version}`)
  cpSync(from, root, { recursive: true })
  writeFileSync(join(root, 'VERSION'), `${version}\n`)
  spoil?.(root)
  return root
}

try {
  const unpacked = join(home, 'unpacked')
  execFileSync('mkdir', ['-p', unpacked])
  execFileSync('tar', ['-xzf', archive, '-C', unpacked])
  const root = join(unpacked, readdirSync(unpacked)[0])
  const version = readFileSync(join(root, 'VERSION'), 'utf8').trim()
  assert.match(version, /^\d+\.\d+\.\d+$/)
  for (const f of ['CHANGELOG.md', 'THIRD-PARTY-NOTICES.txt', 'README.md']) assert.ok(existsSync(join(root, f)), `${f} is missing`)
  const notices = readFileSync(join(root, 'THIRD-PARTY-NOTICES.txt'), 'utf8')
  for (const name of ['Dapper', 'react', 'MathNet.Numerics']) assert.ok(notices.includes(`\n${name} `), `${name} is not named`)

  const document = (path) => readFileSync(join(repository, 'demo', path), 'utf8')
  const { id, step } = await running(root, async (call) => {
    assert.match(await call('GET', '/'), /<div id="root">/)
    await call('POST', '/api/boards', document('boards/tern-460-r2.board.json'))
    await call('POST', '/api/blocks', document('blocks/brineworks-full-460.block.json'))
    const job = { title: 'first', boardId: 'tern-460-r2', blockId: 'brineworks-full-460', bench: 'Bench A', by: 'QA' }
    const { id } = JSON.parse(await call('POST', '/api/jobs', job))
    const { steps } = JSON.parse(await call('GET', `/api/jobs/${id}/shell`))
    await call('POST', `/api/jobs/${id}/steps/${steps[0].stepId}/sign`, { by: 'QA' }, { 'If-Match': '"0"' })
    return { id, step: steps[0].stepId }
  })
  const signed = (at) =>
    running(at, async (call) =>
      JSON.parse(await call('GET', `/api/jobs/${id}/shell`))
        .steps.filter((s) => s.signed)
        .map((s) => s.stepId),
    )
  console.log(`${version} runs from an empty folder and signs ${step}`)

  // data that no installed version knows yet is backed up all the same
  const backups = () => readdirSync(join(to, 'backups')).sort()
  kept(root, 'install')
  assert.equal(current(), version)
  assert.equal(backups().length, 1)
  assert.deepEqual(await signed(join(to, 'current')), [step])
  assert.throws(() => kept(root, 'install'), /installed already/)

  kept(versioned(root, '99.0.0'), 'install')
  assert.equal(current(), '99.0.0')
  const before = backups().filter((f) => f.startsWith('before-99.0.0-'))
  assert.equal(before.length, 1)
  await running(join(to, 'current'), (call) => call('POST', `/api/jobs/${id}/notes`, { text: 'after the upgrade', by: 'QA' }))
  console.log(`upgraded to 99.0.0 behind ${before[0]}`)

  const broken = versioned(root, '99.1.0', (r) => writeFileSync(join(r, 'app/FaithfulBracket.Server'), '#!/bin/sh\nexit 1\n'))
  assert.throws(() => kept(broken, 'install'), /does not start; version 99\.0\.0 stays/)
  assert.equal(current(), '99.0.0')
  assert.deepEqual(await signed(join(to, 'current')), [step])

  kept(root, 'back')
  assert.equal(current(), version)
  assert.deepEqual(await signed(join(to, 'current')), [step])
  const notes = await running(join(to, 'current'), async (call) => JSON.parse(await call('GET', `/api/jobs/${id}`)).notes)
  assert.deepEqual(notes, [])
  assert.ok(readdirSync(home).some((f) => f.startsWith('data-of-99.0.0')), 'the newer data was not kept')
  console.log(`back at ${version} with its data; the newer data is kept aside`)
  // no server that was started on the way is still there
  const left = execFileSync('ps', ['-eo', 'args'], { encoding: 'utf8' }).split('\n').filter((l) => l.includes(`${home}/`))
  assert.deepEqual(left.filter((l) => l.includes('FaithfulBracket.Server')), [])
  console.log('the release holds')
} finally {
  rmSync(home, { recursive: true, force: true })
}
