import JSZip from 'jszip'
import { describe, expect, it } from 'vitest'
import { openFinds } from '@/web/features/rounds/import/openFinds.ts'

const file = (name: string, ...parts: BlobPart[]) => new File(parts, name)
const CSV = 'plot,species,hits\n1,Lolium perenne,4\n1,Trifolium repens,2\n2,Poa pratensis,1\n'

describe('a file of finds', () => {
  it('is a table by its first line; empty lines are no rows', async () => {
    const opened = await openFinds(file('finds.csv', `${CSV}\n\n`))
    expect(opened).toMatchObject({ kind: 'table', encoding: 'UTF-8', headings: ['plot', 'species', 'hits'], broken: 0 })
    expect(opened.kind === 'table' && opened.rows[1]).toEqual({ plot: '1', species: 'Trifolium repens', hits: '2' })
  })

  // RFC 4180: fields with commas, line breaks and quotes are quoted, quotes doubled.
  it('reads quoted fields, a mark at the beginning, semicolons and tabs', async () => {
    const quoted = await openFinds(
      file('a.csv', '\uFEFFplot,species\r\n"1, by the ""old"" gate","Lolium\nperenne"\r\n'),
    )
    expect(quoted.kind === 'table' && quoted.rows[0]).toEqual({
      plot: '1, by the "old" gate',
      species: 'Lolium\nperenne',
    })
    for (const mark of [';', '\t']) {
      const other = await openFinds(file('a.csv', CSV.replaceAll(',', mark)))
      expect(other.kind === 'table' && other.headings).toEqual(['plot', 'species', 'hits'])
    }
  })

  it('says how it read letters that are not of this age', async () => {
    const old = await openFinds(file('old.csv', new Uint8Array([...CSV].map((c) => c.charCodeAt(0))), '3,Fl', new Uint8Array([0xe4]), 'tter,1\n')) // prettier-ignore
    expect(old.encoding).toBe('Windows-1252')
    expect(old.kind === 'table' && old.rows.at(-1)!['species']).toBe('Flätter')
  })

  it('counts rows with too many or too few cells', async () => {
    const opened = await openFinds(file('a.csv', `${CSV}3,Poa annua\n4,Poa annua,1,2,3\n`))
    expect(opened.kind === 'table' && opened.broken).toBe(2)
  })

  it('is GeoJSON by what stands in it, whatever it is called', async () => {
    const point = { type: 'Feature', geometry: { type: 'Point', coordinates: [-29.4, 45.6] }, properties: { stop: 1 } }
    const geo = await openFinds(file('x.csv', JSON.stringify({ type: 'FeatureCollection', features: [point] })))
    expect(geo).toMatchObject({ kind: 'finds', says: 'GeoJSON' })
  })

  it.each([
    ['nothing', file('a.csv'), 'a.csv is empty.'],
    ['one column', file('a.csv', 'species\nLolium perenne\n'), /is not a table/],
    ['headings alone', file('a.csv', 'plot,species\n'), /is not a table/],
    ['a picture', file('a.csv', new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0, 0, 0, 13])), /is not text/],
    ['half a JSON', file('a.json', '{"type":'), /is not GeoJSON: it could not be read as JSON/],
    ['a damaged zip', file('a.zip', new Uint8Array([0x50, 0x4b, 3, 4, 1, 2, 3])), /damaged or of another kind/],
  ])('%s is refused in words', async (_, wrong, words) => {
    await expect(openFinds(wrong)).rejects.toThrow(words)
  })

  it('a zip that is no Darwin Core archive says what it lacks', async () => {
    const zip = new JSZip().file('readme.txt', 'hello')
    await expect(openFinds(file('a.zip', await zip.generateAsync({ type: 'arraybuffer' })))).rejects.toThrow(
      'no meta.xml',
    )
  })

  it('one that is far too large is not read at all', async () => {
    const large = file('a.csv', new Uint8Array(10_000_001))
    large.arrayBuffer = () => Promise.reject(new Error('it was read'))
    await expect(openFinds(large)).rejects.toThrow('larger than 10 MB')
  })
})
