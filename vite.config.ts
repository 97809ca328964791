import { fileURLToPath } from 'node:url'
import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { openings } from './scripts/openings.ts'
import { precompress } from './scripts/precompress.ts'
import { preloadStart } from './scripts/preloadStart.ts'
import { serviceWorker } from './scripts/serviceWorker.ts'

/** All but what draws a plant in the hand: it is large, and most who open a place never take one up. */
const notInHand = /^(?!.*(?:node_modules\/three\/|web\/likeness\/(?:specimenScene|pictureFile)|plant\/hand\/))/

const apiPort = process.env.PORT ?? '4170'

export default defineConfig({
  plugins: [react(), tailwindcss(), preloadStart(), openings(), serviceWorker(), precompress()],
  resolve: {
    tsconfigPaths: true,
    alias: [
      {
        find: '@stdlib/assert-has-generator-support',
        replacement: fileURLToPath(new URL('scripts/hasGenerators.cjs', import.meta.url)),
      },
    ],
  },
  // The server puts a fresh nonce in place of this word in each page it sends.
  html: { cspNonce: '__CSP_NONCE__' },
  worker: { format: 'es' },
  build: {
    outDir: 'dist',
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 700,
    // What many places share comes as one file: a page that asks for thirty small ones opens later, not sooner.
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            // On its own: texts that are made when their module is read must not be read before the language is.
            {
              name: 'language',
              test: /web\/language\/(say|languages)\.ts|web\/(api\/requested|letters|pause)|texts\/en\.json|text\/say\.ts|node_modules\/i18next\/|preload-helper/,
              priority: 10,
            },
            // Large, and run by themselves one after the other: a touch is heard between them.
            { name: 'react', test: /node_modules\/(react|react-dom|scheduler)\//, priority: 12 },
            { name: 'router', test: /node_modules\/react-router\//, priority: 11 },
            // All that is needed before a place is known, and nothing else: a first page waits for this and for its own part.
            { name: 'start', test: /web\/start\.tsx$/, priority: 9 },
            {
              name: 'page',
              test: /web\/parts\/(TwoPane|StepRail|deferred|useKeysKept|words|units|Labelled|groupMarks|FileButton)\.tsx?$|web\/language\/(dates|numbers)|web\/data\/readRound|web\/ui\/(windowKeys|ReadProblem)|entities\/(place\/eventWords|plan\/usePlanLines|practice\/usePracticeAnswers)|core\/(coded|naming\/certainty|practice\/answer)|d3-random|text\/(certaintyWords|codeWords|fileWords|methodWords|practiceWords|regionWords)|(WeighUpHead|report\/Files|PlantHead|practice\/Kinds)\.tsx$/,
              priority: 8,
            },
            // What is read takes a slow phone's time even where nothing of it is run: each of these is needed by other places.
            { name: 'marked-texts', test: /react-i18next|html-parse-stringify|language\/Say\.tsx/, priority: 9 },
            {
              name: 'exposure',
              test: /web\/parts\/ExposureView|core\/assess\/harm\/(kinds|acuteness|actions)|text\/(actWords|harmWords)/,
              priority: 8,
            },
            { name: 'boundaries', test: /togeojson|readPlaceFile|readBoundary|mapXml/, priority: 8 },
            { name: 'comlink', test: /node_modules\/comlink/, priority: 8 },
            { name: 'plane', test: /core\/geo\/localPlane|instruments\/position/, priority: 8 },
            { name: 'tables', test: /node_modules\/papaparse/, priority: 8 },
            // Naming needs one function of all those of statistics.
            {
              name: 'normal',
              test: /stats-base-dists-normal-cdf|core\/naming\/(likelihoods|sizeDistribution)/,
              priority: 8,
            },
            { name: 'statistics', test: /@stdlib/, priority: 8 },
            { name: 'own-eye', test: /core\/practice\/eyeBias|web\/entities\/practice\/practiceStore/, priority: 7 },
            // The first place and all it needs.
            { name: 'rounds', test: /web\/features\/rounds\/RoundsRoute\.tsx$/, priority: 7 },
            {
              name: 'ground',
              test: /@turf|core\/(flora|records|geo\/route|survey\/methods)\/?|text\/(standingCautions|taxonNames)/,
              minShareCount: 2,
              priority: 6,
            },
            {
              name: 'drawing',
              test: /core\/drawing\/|web\/parts\/(Plant)?DrawingView?|web\/parts\/PortraitView/,
              minShareCount: 2,
              priority: 6,
            },
            {
              name: 'charts',
              test: /node_modules\/d3-(?!zoom|drag|selection|transition|random|force)/,
              minShareCount: 2,
              priority: 7,
            },
            { name: 'maps', test: /node_modules\/d3-|web\/parts\/ZoomMap/, minShareCount: 2, priority: 6 },
            { name: 'survey', test: /core\/(methods|survey|stats)\//, minShareCount: 2, priority: 6 },
            { name: 'figures', test: /core\/assess\//, minShareCount: 2, priority: 6 },
            {
              name: 'naming',
              test: /core\/(practice\/ownErrors|naming\/observerError)|workers\/namingWorker\.ts|stores\/ownReading/,
              minShareCount: 2,
              priority: 6,
            },
            { name: 'controls', test: /radix|web\/parts\/(?!counted|typed)/, minShareCount: 2, priority: 5 },
            { name: 'marks', test: /web\/ui\/charts\//, minShareCount: 2, priority: 5 },
            {
              name: 'plant',
              test: /web\/(features\/plant-book|entities\/specimen|entities\/plant)\/(?!hand\/)/,
              minShareCount: 2,
              priority: 4,
            },
            {
              name: 'bench',
              test: /web\/features\/identify\//,
              minShareCount: 2,
              priority: 4,
            },
            {
              name: 'counting',
              test: /web\/features\/rounds\/|entities\/round\/(Frequency|Mass|Search)Panel/,
              minShareCount: 2,
              priority: 4,
            },
            {
              name: 'weighing',
              test: /web\/(features\/(results|report)|entities\/round)\//,
              minShareCount: 2,
              priority: 2,
            },
            {
              name: 'practice',
              test: /web\/(features|entities)\/practice\/|core\/practice\/|ts-fsrs/,
              minShareCount: 2,
              priority: 2,
            },
            { name: 'shared', test: notInHand, minShareCount: 4, priority: 3 },
            { name: 'shared-by-few', test: notInHand, minShareCount: 2, maxModuleSize: 12_000 },
          ],
        },
      },
    },
  },
  server: { port: 5173, proxy: { '/api': `http://127.0.0.1:${apiPort}` } },
})
