import * as Comlink from 'comlink'
import type { TaxonTrend, YearCount } from '@/core/survey/paddockHistory.ts'
import type { TrendsApi } from './trends.worker.ts'

let started: Comlink.Remote<TrendsApi> | undefined

/** The course of each plant through counts of one method, worked out beside the page. */
export function trendsOf(counts: YearCount[]): Promise<TaxonTrend[]> {
  started ??= Comlink.wrap<TrendsApi>(new Worker(new URL('./trends.worker.ts', import.meta.url), { type: 'module' }))
  return started.trends(counts)
}
