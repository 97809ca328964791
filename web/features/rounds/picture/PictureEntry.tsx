import { randomLcg } from 'd3-random'
import { useEffect, useMemo, useRef, useState } from 'react'
import { classOfTaxon } from '@/core/picture/classes.ts'
import type { FrameMap } from '@/core/picture/crossFitted.ts'
import type { Picture, Pixel } from '@/core/picture/homography.ts'
import { gridPoints } from '@/core/picture/points.ts'
import type { Measures } from '@/core/records/measures.ts'
import type { Stop } from '@/core/records/round.ts'
import { simulatedFramePicture } from '../../../instruments/camera.ts'
import { say } from '../../../language/say.ts'
import { FileButton } from '../../../parts/FileButton.tsx'
import { useFlora } from '../../../stores/floraStore.ts'
import { deletePicture, keepPicture, readPicture, type KeptPicture } from '../../../stores/pictureStore.ts'
import { pictureWorker } from '../../../workers/pictureWorker.ts'
import { PictureCorners } from './PictureCorners.tsx'
import { PicturePoints } from './PicturePoints.tsx'
import { pixelsOf, scaled } from './readImage.ts'

interface Props {
  stop: Stop
  points: number
  /** What the map of this stop's picture said, of the hits it was learned from. */
  onMapped: (of: Stop, picture: NonNullable<Measures['picture']>) => void
}

const button = 'min-h-12 rounded-xl border border-rule px-4 aria-pressed:border-culm aria-pressed:bg-culm/15'
const WAIT_MS = 500

/** A number from an id, for a start by chance that stays the same. */
const seedOf = (id: string): number => [...id].reduce((h, c) => (h * 31 + c.charCodeAt(0)) % 2_147_483_647, 7)

/** A frame counted from a picture: taken or opened, made straight by its corners, its points named by the keys, a map learned beside. */
export function PictureEntry({ stop, points: count, onMapped }: Props) {
  const byId = useFlora((s) => s.byId)
  const [kept, setKept] = useState<KeptPicture>()
  const [made, setMade] = useState<{ of: KeptPicture; straight: Picture }>()
  const [map, setMap] = useState<FrameMap>()
  const [shown, setShown] = useState(false)
  const [problem, setProblem] = useState('')
  const worker = useRef<ReturnType<typeof pictureWorker>>(undefined)
  const learning = useRef<Promise<unknown>>(Promise.resolve())
  const seed = seedOf(stop.id)
  const points = useMemo(() => gridPoints(count, randomLcg(seed / 2_147_483_647)), [count, seed])
  const named = stop.hits.length

  const keep = (k: KeptPicture) => {
    setKept(k)
    keepPicture(stop.id, k).catch(() => setProblem(say('This browser keeps no pictures: it is gone when the page is closed.'))) // prettier-ignore
  }
  const open = (file: Blob) =>
    scaled(file).then(
      (picture) => keep({ picture }),
      () => setProblem(say('This file is no picture that the browser can read.')),
    )
  const { picture, corners } = kept ?? {}
  // What was made straight of an earlier picture, or by other corners, is not this one.
  const straight = made && corners && made.of === kept ? made.straight : undefined
  useEffect(() => {
    if (!picture || !corners) return
    let gone = false
    void pixelsOf(picture)
      .then((p) => worker.current!.api.straighten(p, corners))
      .then((straight) => void (gone || setMade({ of: kept!, straight })))
      .catch(() => void (gone || setProblem(say('The four corners must span a frame: touch them again.'))))
    return () => {
      gone = true
    }
  }, [kept, picture, corners])
  // The map follows the points when the hand rests; one of every point is learned and kept though the stop is left at once.
  useEffect(() => {
    const { current: own } = worker
    if (!straight || named === 0 || !own) return
    let begun = false
    const learn = () => {
      begun = true
      const list = stop.hits.slice(0, count).map((h, i) => ({ at: points[i]!, is: classOfTaxon(h.taxon, byId) }))
      learning.current = own.api.map(list, seed).then((m) => {
        setMap(m)
        if (list.length === count) onMapped(stop, { map: m.map, mapped: m.points.map((p) => p.mapped) })
      })
    }
    const timer = setTimeout(learn, WAIT_MS)
    return () => {
      clearTimeout(timer)
      if (!begun && named >= count) learn()
    }
    // The hits alone decide: what is measured from them must not start it again.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [straight, stop.hits, count, points, byId, seed])
  // Declared last, so that what is still to be learned has begun when the worker is told to end.
  useEffect(() => {
    let gone = false
    const own = (worker.current = pictureWorker())
    readPicture(stop.id).then(
      (k) => void (gone || setKept(k)),
      () => undefined,
    )
    return () => {
      gone = true
      void learning.current.catch(() => undefined).finally(() => own.end())
    }
  }, [stop.id])
  return (
    <section className="mt-3" aria-label={say('Picture of the frame')}>
      <div className="flex flex-wrap items-center gap-2">
        <FileButton label={say('Take or open a picture')} accept="image/*" onFile={(f) => void open(f)} />
        {kept ? null : (
          <button
            type="button"
            className={button}
            onClick={() => void simulatedFramePicture((seed % 1000) / 1000).then(open)}
          >
            {say('A painted frame (simulated)')}
          </button>
        )}
        {straight ? (
          <button type="button" aria-pressed={shown} className={button} onClick={() => setShown((s) => !s)}>
            {say('Show the map')}
          </button>
        ) : null}
        {kept ? (
          <button
            type="button"
            className={button}
            onClick={() => {
              setMap(undefined)
              if (corners) keep({ picture: kept.picture })
              else void deletePicture(stop.id).then(() => setKept(undefined))
            }}
          >
            {corners ? say('Set the corners anew') : say('Another picture')}
          </button>
        ) : null}
      </div>
      <p role="alert" className="text-harm">
        {problem}
      </p>
      {straight && named >= count ? (
        <p role="status" className="text-sm text-ink-soft">
          {stop.measures.picture
            ? say('The map of this frame is learned and kept.')
            : say('The map is being learned …')}
        </p>
      ) : null}
      {picture && !corners ? (
        <PictureCorners
          key={stop.id}
          picture={picture}
          onStraight={(set: [Pixel, Pixel, Pixel, Pixel]) => keep({ picture, corners: set })}
        />
      ) : null}
      {straight ? (
        <PicturePoints straight={straight} points={points} named={named} blocks={shown ? map?.blocks : undefined} />
      ) : kept ? null : (
        <p className="mt-1 text-ink-soft">
          {say(
            'Hold the camera straight above the frame. The picture stays on this device, scaled to {{n}} pixels, without the place a camera writes into it.',
            { n: 1600 },
          )}
        </p>
      )}
    </section>
  )
}
