import type { ArchiveNews, ArchiveReport } from '@snowdrift/core'
import { expect } from 'chai'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { randomUUID } from 'node:crypto'
import sharp from 'sharp'
import { loadDemo } from '../demo/load-demo.js'
import { ensureWorkshop } from '../db/repositories/workshops.js'
import { coverBody, materialBody, ruleBody } from '../testing/bodies.js'
import { useTestApp } from '../testing/test-database.js'

type Files = Record<string, Uint8Array>

describe('the archive of a workshop', function () {
  this.timeout(180_000)
  const app = useTestApp()
  const newWorkshop = () => ensureWorkshop(app().database.models, `w-${randomUUID()}`, randomUUID)
  const out = async (workshop: string, query = '') => {
    const { status, bytes } = await app().requestBytes('GET', `/api/archive${query}`, undefined, workshop)
    expect(status).to.equal(200)
    return bytes
  }
  const send = (workshop: string, bytes: Uint8Array, query = '') =>
    app().requestBytes('POST', `/api/archive${query}`, Buffer.from(bytes), workshop)
  const take = async (workshop: string, bytes: Uint8Array, query = '') => {
    const answer = await send(workshop, bytes, query)
    expect(answer.status, answer.bytes.toString('utf8')).to.equal(200)
    const lines = answer.bytes.toString('utf8').trim().split('\n')
    const news = lines.map(line => JSON.parse(line) as ArchiveNews)
    const last = news.at(-1)
    if (!last || !('report' in last)) throw new Error(lines.at(-1))
    return { ...last, parts: news.flatMap(one => ('part' in one ? [one.part] : [])) }
  }
  const added = ({ counts }: ArchiveReport) =>
    Object.fromEntries(Object.entries(counts).map(([kind, count]) => [kind, count.added]))
  /** Every file but the one that says when it was written. */
  const contents = (bytes: Uint8Array) =>
    Object.fromEntries(
      Object.entries(unzipSync(bytes))
        .filter(([name]) => name !== 'workshop.json')
        .map(([name, file]) => [name, Buffer.from(file).toString('base64')]),
    )
  const withFiles = (bytes: Uint8Array, change: (files: Files) => void) => {
    const files = unzipSync(bytes)
    change(files)
    return zipSync(files)
  }
  const fileLike = (files: Files, kind: string) => {
    const name = Object.keys(files).find(file => file.startsWith(`${kind}/`))
    if (!name) throw new Error(`no file of ${kind}`)
    return name
  }

  /** A workshop with a row of every kind, and what goes wrong among them: a cover whose thing was deleted. */
  async function fill(workshop: string): Promise<{ readonly coverId: string; readonly materialId: string }> {
    const { repositories } = app()
    await loadDemo(repositories, workshop, new Date())
    const [cover] = (await repositories.covers.list(workshop, { limit: 1 })).items
    const [material] = (await repositories.materials.list(workshop, { limit: 1 })).items
    if (!cover || !material) throw new Error('an empty demo')
    await repositories.rules.create(workshop, ruleBody)
    const at = '2026-11-29T10:00:00.000Z'
    const progress = {
      steps: { 'cut/outer': { at, state: 'done' as const } },
      waits: {},
      made: {},
      schools: {},
    }
    await repositories.makings.update(workshop, cover.id, 'new', { progress })
    await repositories.cuttings.create(workshop, {
      plan: {
        coverIds: [cover.id],
        cuts: 'rotary',
        sources: { outer: { materialId: material.id, pieces: null, buy: true, width: null, sheet: null } },
        pins: [],
        done: [],
      },
    })
    const photo = await sharp({ create: { width: 400, height: 500, channels: 3, background: '#7a4' } })
      .png()
      .toBuffer()
    const put = await app().requestBytes('PUT', `/api/materials/${material.id}/picture`, photo, workshop)
    expect(put.status).to.equal(200)
    return { coverId: cover.id, materialId: material.id }
  }

  it('brings a workshop into an empty one, row for row, and says what it did', async () => {
    const [from, into] = [await newWorkshop(), await newWorkshop()]
    await fill(from)
    const bytes = await out(from)
    const looked = await take(into, bytes, '?only=report')
    expect(looked.taken).to.equal(false)
    expect((await app().repositories.covers.list(into, { limit: 5 })).items).to.deep.equal([])
    const { report, taken, parts } = await take(into, bytes)
    expect(taken).to.equal(true)
    expect(report.refused).to.deep.equal([])
    expect(report.counts).to.deep.equal(looked.report.counts)
    const { covers, materials, things } = app().repositories
    expect(added(report)).to.include({
      covers: (await covers.list(from, { limit: 100 })).items.length,
      materials: (await materials.list(from, { limit: 100 })).items.length,
      things: (await things.list(from, { limit: 100 })).items.length,
      rules: 1,
      makings: 1,
      cuttings: 1,
      pictures: 1,
      settings: 0,
    })
    expect(parts.every((part, index) => part > (parts[index - 1] ?? 0) && part <= 1)).to.equal(true)
    // Both workshops stand in one database, so every row has an id of its own here; what the rows say is the same.
    const said = (of: Uint8Array) =>
      Object.entries(unzipSync(of))
        .filter(([name]) => name.startsWith('covers/'))
        .map(([, file]) => JSON.stringify((JSON.parse(strFromU8(file)) as { file: object }).file))
        .sort()
    expect(said(await out(into))).to.deep.equal(said(bytes))
  })

  it('adds nothing the second time, in the workshop that it is of or in another', async () => {
    const [from, into] = [await newWorkshop(), await newWorkshop()]
    await fill(from)
    const bytes = await out(from)
    const before = contents(bytes)
    const again = await take(from, bytes, '?existing=take')
    expect(
      Object.values(again.report.counts).map(({ added, changed, kept }) => added + changed + kept),
    ).to.deep.equal(Object.keys(again.report.counts).map(() => 0))
    expect(contents(await out(from))).to.deep.equal(before)
    await take(into, bytes)
    const there = contents(await out(into))
    expect(Object.keys(there)).to.have.length(Object.keys(before).length)
    await take(into, bytes)
    expect(contents(await out(into))).to.deep.equal(there)
  })

  it('keeps rows that name each other together under their new ids', async () => {
    const [from, into] = [await newWorkshop(), await newWorkshop()]
    const { coverId } = await fill(from)
    await take(into, await out(from))
    const { repositories } = app()
    const thingOf = async (workshop: string) => {
      const { items } = await repositories.covers.list(workshop, { limit: 100 })
      const things = (await repositories.things.list(workshop, { limit: 100 })).items
      return items
        .map(
          ({ file, thingId }) => `${file.name ?? ''}: ${things.find(({ id }) => id === thingId)?.name ?? ''}`,
        )
        .sort()
    }
    expect(await thingOf(into)).to.deep.equal(await thingOf(from))
    const [cutting] = (await repositories.cuttings.list(into, { limit: 5 })).items
    const [making] = (await repositories.makings.list(into, { limit: 5 })).items
    const own = making && (await repositories.covers.find(into, making.id))
    expect(own?.file.name).to.equal((await repositories.covers.find(from, coverId))?.file.name)
    expect(cutting?.plan.coverIds).to.deep.equal([making?.id])
    const [source] = Object.values(cutting?.plan.sources ?? {})
    expect(await repositories.materials.find(into, source?.materialId ?? '')).not.to.equal(undefined)
  })

  it('brings back what was deleted, and leaves or takes what stands here otherwise, as it is told', async () => {
    const workshop = await newWorkshop()
    const { coverId, materialId } = await fill(workshop)
    const bytes = await out(workshop)
    const { covers, materials, settings } = app().repositories
    await covers.remove(workshop, coverId, 1)
    const stands = await materials.find(workshop, materialId)
    await materials.update(workshop, materialId, stands?.version ?? 0, materialBody)
    const { version: _version, ...body } = await settings.find(workshop)
    await settings.update(workshop, 1, { ...body, currency: 'kr.' })
    const kept = await take(workshop, bytes)
    expect(kept.report.counts).to.deep.include({
      materials: { ...kept.report.counts.materials, kept: 1, changed: 0 },
      settings: { added: 0, changed: 0, kept: 1, same: 0 },
    })
    expect(kept.report.counts.covers.added).to.equal(1)
    expect(kept.report.otherwise).to.have.length(1)
    expect((await covers.find(workshop, coverId))?.id).to.equal(coverId)
    expect((await materials.find(workshop, materialId))?.material.name).to.equal('Moss twill')
    const took = await take(workshop, bytes, '?existing=take')
    expect(took.report.counts.materials.changed).to.equal(1)
    expect((await materials.find(workshop, materialId))?.material).to.deep.equal(stands?.material)
    expect((await settings.find(workshop)).currency).to.equal(body.currency)
  })

  it('leaves out what was deleted, and that others name it', async () => {
    const [workshop, into] = [await newWorkshop(), await newWorkshop()]
    const { repositories } = app()
    const thing = await repositories.things.create(workshop, {
      name: 'Snow log',
      unit: 'mm',
      object: { kind: 'notebook' },
    })
    const cover = await repositories.covers.create(workshop, coverBody({}, thing.id))
    const { id: materialId } = await repositories.materials.create(workshop, materialBody)
    const piece = await repositories.stash.add(workshop, materialId, {
      source: 'remnant',
      width: '200',
      length: '300',
      count: 1,
      note: '',
      avoid: [{ x: '1', y: '2 in', width: '1', height: 3 }],
      marks: [{ name: 'hut', what: 'motif', x: '1', y: '2 in', width: '1', height: 3 }],
    })
    await repositories.stash.reserve(workshop, cover.id, [{ id: piece?.id ?? '', version: 1 }])
    await repositories.things.remove(workshop, thing.id, 1)
    const { report } = await take(into, await out(workshop))
    expect(report.refused).to.deep.equal([])
    expect(added(report)).to.include({ things: 0, covers: 1, pieces: 1 })
    const [came] = (await repositories.stash.list(into, { limit: 5 })).items
    const [its] = (await repositories.covers.list(into, { limit: 5 })).items
    expect([came?.state, came?.coverId, its?.thingId]).to.deep.equal(['reserved', its?.id, null])
  })

  it('takes a cover out with its thing, its cloth and what there is of it, and with nothing else', async () => {
    const [from, into] = [await newWorkshop(), await newWorkshop()]
    const { coverId } = await fill(from)
    const { repositories } = app()
    const cover = await repositories.covers.find(from, coverId)
    const files = unzipSync(await out(from, `?cover=${coverId}`))
    const kinds = (kind: string) => Object.keys(files).filter(name => name.startsWith(`${kind}/`))
    expect(kinds('covers')).to.deep.equal([`covers/${coverId}.json`])
    expect(kinds('things')).to.deep.equal([`things/${cover?.thingId ?? ''}.json`])
    expect(files).not.to.have.property('settings.json')
    const names = kinds('materials').map(
      name =>
        (JSON.parse(strFromU8(files[name] ?? new Uint8Array())) as { material: { name: string } }).material
          .name,
    )
    expect(names).not.to.deep.equal([])
    expect(cover?.file.layers.map(({ name }) => name)).to.include.members(names)
    const { report } = await take(into, await out(from, `?cover=${coverId}`))
    expect(added(report)).to.include({ covers: 1, things: 1, materials: names.length, settings: 0 })
    expect((await app().request('GET', `/api/archive?cover=${randomUUID()}`)).status).to.equal(404)
    expect((await app().request('GET', '/api/archive?cover=x')).status).to.equal(400)
    expect((await app().request('GET', `/api/archive?cover=${coverId}`, { workshop: into })).status).to.equal(
      404,
    )
  })

  describe('that is none, or was meddled with,', () => {
    let into = ''
    let whole: Uint8Array = new Uint8Array()
    before(async () => {
      const from = await newWorkshop()
      into = await newWorkshop()
      await fill(from)
      whole = await out(from)
    })
    const emptyStill = async () => {
      for (const rows of [app().repositories.things, app().repositories.covers, app().repositories.materials])
        expect((await rows.list(into, { limit: 1 })).items).to.deep.equal([])
    }
    const refusal = async (bytes: Uint8Array) => {
      const answer = await send(into, bytes)
      expect(answer.status, answer.bytes.toString('utf8').slice(0, 300)).to.equal(422)
      await emptyStill()
      return (JSON.parse(answer.bytes.toString('utf8')) as { detail: string }).detail
    }
    /** Refused row by row, after it was opened. */
    const refused = async (change: (files: Files) => void) => {
      const { report, taken } = await take(into, withFiles(whole, change))
      expect(taken).to.equal(false)
      await emptyStill()
      return report.refused.map(({ path, message }) => `${path}: ${message}`)
    }

    it('is refused as a file of another kind, cut short, or empty', async () => {
      expect(await refusal(Buffer.from('%PDF-1.7 not an archive at all'))).to.match(/no archive/)
      expect(await refusal(whole.subarray(0, whole.length - 400))).to.match(/no archive/)
      expect(await refusal(Buffer.alloc(0))).to.match(/no archive/)
      expect(await refusal(zipSync({ 'notes.txt': strToU8('hello') }))).to.match(
        /notes.txt: An archive of a workshop has no file/,
      )
      expect(await refusal(zipSync({}))).to.match(/workshop.json: It is missing/)
    })

    for (const name of [
      '../../etc/passwd',
      '/etc/passwd',
      'covers\\..\\x.json',
      'covers/../settings.json',
      'C:/x',
      'covers/x.json',
    ])
      it(`is refused with a file called ${name}`, async () => {
        const bytes = withFiles(whole, files => (files[name] = strToU8('{}')))
        expect(await refusal(bytes)).to.match(/no file of this name|damaged|invalid/)
      })

    it('is refused with two files of one name', async () => {
      const id = randomUUID()
      const twin = `covers/${id.slice(0, -1)}x.json`
      const bytes = Buffer.from(
        withFiles(whole, files => {
          files[`covers/${id}.json`] = strToU8('{}')
          files[twin] = strToU8('{}')
        }),
      )
      const renamed = Buffer.from(bytes.toString('latin1').replaceAll(twin, `covers/${id}.json`), 'latin1')
      expect(await refusal(renamed)).to.match(/two files of this name/)
    })

    it('is refused where it would unpack to more than it may, before it is unpacked', async () => {
      const bomb = withFiles(
        whole,
        files => (files[fileLike(files, 'covers')] = new Uint8Array(40 * 1024 * 1024)),
      )
      expect(bomb.length).to.be.below(300_000)
      expect(await refusal(bomb)).to.match(/larger than 512 kB/)
      // One that lies about its size is caught while it is read.
      const size = 400_000
      const liar = Buffer.from(
        withFiles(whole, files => (files[fileLike(files, 'covers')] = new Uint8Array(size))),
      )
      const said = Buffer.alloc(4)
      said.writeUInt32LE(size)
      const small = Buffer.alloc(4)
      small.writeUInt32LE(500)
      for (let at = liar.indexOf(said); at >= 0; at = liar.indexOf(said, at + 1)) small.copy(liar, at)
      const { report } = await take(into, liar)
      expect(report.refused[0]?.message).to.match(/damaged/)
      await emptyStill()
    })

    it('is refused where it is of a newer version, or holds a newer cover', async () => {
      const newer = withFiles(whole, files => {
        files['workshop.json'] = strToU8(
          JSON.stringify({
            format: 'snowdrift/workshop',
            version: 2,
            written: '2030-01-01T00:00:00.000Z',
            more: [],
          }),
        )
      })
      expect(await refusal(newer)).to.match(/version 2; this Snowdrift reads 1/)
      const other = withFiles(whole, files => (files['workshop.json'] = strToU8('{"format":"other/thing"}')))
      expect(await refusal(other)).to.match(/workshop.json: format: Expected .*snowdrift\/workshop/)
      const cover = await refused(files => {
        const name = fileLike(files, 'covers')
        files[name] = strToU8(JSON.stringify({ thingId: null, file: { ...coverBody().file, version: 9 } }))
      })
      expect(cover.join()).to.match(/covers\/.*json: file.version/)
    })

    it('is refused with the file and the place in it, all or nothing', async () => {
      expect(
        (await refused(files => (files[fileLike(files, 'things')] = strToU8('{"name":')))).join(),
      ).to.match(/things\/.*: It is no JSON/)
      expect(
        (
          await refused(
            files => (files[fileLike(files, 'things')] = strToU8('{"name":"x","unit":"ell","object":{}}')),
          )
        ).join(),
      ).to.match(/things\/.*: unit/)
      expect(
        (
          await refused(files => (files[fileLike(files, 'pictures')] = strToU8('<svg onload="alert(1)"/>')))
        ).join(),
      ).to.match(/pictures\/.*webp: This is no picture/)
      expect(
        (await refused(files => (files['settings.json'] = strToU8('{"unit":"in","colour":1}')))).join(),
      ).to.match(/settings.json/)
      const lost = await refused(files => {
        files[fileLike(files, 'covers')] = strToU8(JSON.stringify(coverBody({}, randomUUID())))
      })
      expect(lost.join()).to.match(/thingId: It names things\/.*, which is neither in the archive nor here/)
      const orphan = await refused(files => {
        const name = fileLike(files, 'pieces')
        const piece = JSON.parse(strFromU8(files[name] ?? new Uint8Array())) as object
        files[name] = strToU8(JSON.stringify({ ...piece, materialId: randomUUID() }))
      })
      expect(orphan.join()).to.match(/materialId: Its material is not in the archive/)
    })

    it('is refused where a byte of it is not what was written', async () => {
      const bytes = Buffer.from(withFiles(whole, files => (files[fileLike(files, 'covers')] = strToU8('{}'))))
      const stored = Buffer.from(zipSync(unzipSync(bytes), { level: 0 }))
      const at = stored.indexOf('"Snow') >= 0 ? stored.indexOf('"Snow') + 1 : stored.indexOf('"name"') + 1
      stored[at] = (stored[at] ?? 0) ^ 0x20
      const { report } = await take(into, stored)
      expect(report.refused.map(({ message }) => message).join()).to.match(/damaged/)
    })

    it('asks in words that are known', async () => {
      expect((await send(into, whole, '?existing=all')).status).to.equal(400)
      expect((await send(into, whole, '?only=half')).status).to.equal(400)
    })
  })
})
