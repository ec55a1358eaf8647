// What the release is made of besides its own code: every package of server and client that ships, with its licence.
//   node notices.mjs PROJECT_ASSETS_JSON NUGET_FOLDER CLIENT_FOLDER > THIRD-PARTY-NOTICES.txt
import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'

const [assets, nuget, client] = process.argv.slice(2)
const read = (file) => readFileSync(file, 'utf8').replace(/^\uFEFF/, '').replaceAll('\r\n', '\n').trim()

/** The text of a licence that lies in a package, if one does. */
const text = (folder) => {
  const file = readdirSync(folder).find((f) => /^(licen[cs]e|copying|notice)(\.|$)/i.test(f))
  return file ? read(join(folder, file)) : ''
}

function* ofServer() {
  const { targets, libraries } = JSON.parse(read(assets))
  const shipped = Object.entries(targets).find(([name]) => name.includes('/linux-x64'))?.[1] ?? Object.values(targets)[0]
  for (const [key, entry] of Object.entries(shipped)) {
    const [name, version] = key.split('/')
    const ships = Object.keys({ ...entry.runtime, ...entry.native, ...entry.runtimeTargets }).some((f) => !f.endsWith('_._'))
    if (entry.type !== 'package' || !ships) continue
    const folder = join(nuget, libraries[key].path)
    const spec = read(join(folder, `${name.toLowerCase()}.nuspec`))
    const told = /<license type="expression">([^<]+)/.exec(spec)?.[1] ?? /<licenseUrl>([^<]+)/.exec(spec)?.[1]
    yield { name, version, licence: told ?? 'see its text', text: text(folder) }
  }
}

function* ofClient() {
  const { packages } = JSON.parse(read(join(client, 'package-lock.json')))
  for (const [path, entry] of Object.entries(packages)) {
    const folder = join(client, path)
    if (!path || entry.dev || entry.optional || !existsSync(folder)) continue
    yield {
      name: path.replace(/^.*node_modules\//, ''),
      version: entry.version,
      licence: entry.license ?? 'see its text',
      text: text(folder),
    }
  }
}

const lines = ['Faithful Bracket ships with the packages below. Each is under its own licence.', '']
let count = 0
for (const [where, all] of [['Server', ofServer()], ['Client', ofClient()]])
  for (const p of [...all].sort((a, b) => a.name.localeCompare(b.name))) {
    lines.push('='.repeat(80), `${p.name} ${p.version} (${where}): ${p.licence}`, '')
    if (p.text) lines.push(p.text, '')
    count++
  }
lines.push('='.repeat(80), '.NET runtime and ASP.NET Core (Server): MIT', '')
console.log(lines.join('\n'))
console.error(`${count} packages`)
