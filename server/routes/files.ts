import { gpxWords } from '@/text/gpxWords.ts'
import { groupName, taxonName } from '@/text/taxonNames.ts'
import { isUUID } from 'class-validator'
import { randomLcg } from 'd3-random'
import { Router } from 'express'
import JSZip from 'jszip'
import Papa from 'papaparse'
import { darwinCore } from '@/core/formats/darwinCore.ts'
import { roundGpx } from '@/core/formats/roundGpx.ts'
import { roundGeoJson } from '@/core/formats/roundGeoJson.ts'
import { compositionRows, hitRows, stopRows } from '@/core/formats/roundRows.ts'
import { weighUp } from '@/core/assess/weighUp.ts'
import type { Db } from '../db/db.ts'
import { getRound } from '../db/rounds.ts'
import { badRequest, notFound } from '../http/httpError.ts'
import type { Book } from '../flora/book.ts'

/** What a spreadsheet may take for a formula; a number below zero is none, and a western longitude must stay one. */
const FORMULA = /^(?!-\d+(\.\d+)?$)[=+\-@\t\r]/

/** A spreadsheet must never run a cell: cells that look like a formula are quoted (and stay readable). */
const toCsv = (rows: object[]) => `${Papa.unparse(rows, { escapeFormulae: FORMULA, newline: '\r\n' })}\r\n`

/** Files are in English: programs read them. */
const names = { taxon: taxonName, group: groupName }

/** Files of a round that other programs open. */
export function fileRoutes(db: Db, book: Book): Router {
  return Router().get('/rounds/:id/files/:name', async (req, res) => {
    const round = isUUID(req.params.id) ? await getRound(db, req.params.id) : undefined
    if (!round) throw notFound('round')
    const { name } = req.params
    const plants = new Map(book.flora.plants.map((p) => [p.id, p]))
    const send = (type: string, text: string) => void res.attachment(name).type(type).send(text)
    if (name === 'stops.gpx') return send('application/gpx+xml', roundGpx(round, gpxWords()))
    if (name === 'darwin-core.zip') {
      const archive = darwinCore(round, plants)
      const zip = new JSZip()
        .file('meta.xml', archive.meta)
        .file('occurrence.csv', toCsv(archive.occurrences))
        .file('measurementorfact.csv', toCsv(archive.facts))
      const bytes = await zip.generateAsync({ type: 'nodebuffer', compression: 'DEFLATE' })
      return void res.attachment(name).type('application/zip').send(bytes)
    }
    if (name === 'stops.geojson')
      return send('application/geo+json', JSON.stringify(roundGeoJson(round, (t) => taxonName(t, plants))))
    if (name === 'hits.csv') return send('text/csv', toCsv(hitRows(round, plants, names)))
    if (name === 'stops.csv') return send('text/csv', toCsv(stopRows(round)))
    if (name === 'composition.csv') {
      const weighed = weighUp(round, plants, () => randomLcg(1))
      if (!weighed) throw badRequest('Nothing is counted in this round yet.')
      return send('text/csv', toCsv(compositionRows(weighed.composition, plants, names)))
    }
    throw notFound('file')
  })
}
