import * as Comlink from 'comlink'
import { taxonTrends, type TaxonTrend, type YearCount } from '@/core/survey/paddockHistory.ts'

/** The course of each plant through the counts of a paddock, off the page's thread. */
const api = { trends: (counts: YearCount[]): TaxonTrend[] => taxonTrends(counts) }

export type TrendsApi = typeof api
Comlink.expose(api)
