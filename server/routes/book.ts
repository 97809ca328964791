import { Router } from 'express'
import { deltaTable, writeDelta } from '@/core/formats/delta.ts'
import type { CompiledFlora } from '@/core/naming/compileFlora.ts'
import { identify, type Identification } from '@/core/naming/identify.ts'
import { notFound } from '../http/httpError.ts'
import { parseBody } from '../http/parseBody.ts'
import { IdentifyInput, readContext, readObservations } from './identifyInput.ts'

/** Identify from an unchecked body: what the route and the command line share. */
export function identifyBody(compiled: CompiledFlora, body: unknown): Identification {
  const input = parseBody(IdentifyInput, body)
  const context = readContext(input.context, compiled.flora)
  return identify(compiled, context, readObservations(input.observations ?? [], compiled.flora))
}

/** The plant book and the naming. */
export function bookRoutes(compiled: CompiledFlora): Router {
  const { flora } = compiled
  return Router()
    .get('/plants', (_req, res) => void res.json(flora.plants))
    .get('/plants/:id', (req, res) => {
      const plant = flora.plants.find((p) => p.id === req.params.id)
      if (!plant) throw notFound('plant')
      res.json(plant)
    })
    .get('/characters', (_req, res) => void res.json(flora.characters))
    .get('/files/characters.delta', (_req, res) => {
      res
        .attachment('characters.delta')
        .type('text/plain')
        .send(writeDelta(deltaTable(flora)))
    })
    .get('/groups', (_req, res) => void res.json(flora.groups))
    .post('/identify', (req, res) => void res.json(identifyBody(compiled, req.body)))
}
