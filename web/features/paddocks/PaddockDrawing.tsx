import { codeWords } from '@/text/codeWords.ts'
import { partKinds, type PartKind } from '@/core/records/round.ts'
import { areaHa } from '@/core/geo/route.ts'
import { FileButton } from '../../parts/FileButton.tsx'
import { inputClass, Labelled } from '../../parts/Labelled.tsx'
import { DrawGrid } from './DrawGrid.tsx'
import { WalkBoundary } from './WalkBoundary.tsx'
import { polygonFrom, type PlaceState } from './usePaddock.ts'
import { areaWords } from '../../parts/units.ts'
import { say } from '../../language/say.ts'

const button = 'min-h-11 rounded-xl border border-rule px-3 disabled:opacity-50'

/** The shape of the paddock and its parts, drawn corner by corner or read from a file. */
export function PaddockDrawing({ state }: { state: PlaceState }) {
  const { place, drawing, draw, corners, setCorners, part, setPart, problem, origin, take, open } = state
  return (
    <>
      <div className="mt-4 flex flex-wrap items-center gap-2" role="group" aria-label={say('Draw')}>
        <button
          type="button"
          aria-pressed={drawing === 'boundary'}
          className={`${button} aria-pressed:border-culm aria-pressed:bg-culm/15`}
          onClick={() => draw('boundary')}
        >
          {place.boundary ? say('Draw the boundary anew') : say('Draw the boundary')}
        </button>
        <button
          type="button"
          aria-pressed={drawing === 'part'}
          disabled={!place.boundary}
          className={`${button} aria-pressed:border-culm aria-pressed:bg-culm/15`}
          onClick={() => draw('part')}
        >
          {say('Draw a part')}
        </button>
        <FileButton
          label={say('Open GeoJSON, GPX or KML')}
          accept=".geojson,.json,.gpx,.kml,application/geo+json"
          onFile={open}
        />
      </div>
      {drawing === 'part' ? (
        <div className="mt-2 flex flex-wrap gap-3">
          <Labelled label={say('Kind of part')}>
            {(id) => (
              <select
                id={id}
                value={part.kind}
                onChange={(e) => setPart({ ...part, kind: e.target.value as PartKind })}
                className={inputClass}
              >
                {partKinds.map((k) => (
                  <option key={k} value={k}>
                    {codeWords(k)}
                  </option>
                ))}
              </select>
            )}
          </Labelled>
          <Labelled label={say('Its name')}>
            {(id) => (
              <input
                id={id}
                value={part.name}
                placeholder={codeWords(part.kind)}
                maxLength={200}
                onChange={(e) => setPart({ ...part, name: e.target.value })}
                className={inputClass}
              />
            )}
          </Labelled>
        </div>
      ) : null}
      {drawing === 'boundary' ? <WalkBoundary origin={origin} onCorners={(c) => setCorners(c)} /> : null}
      <p role="alert" className="mt-1 min-h-6 text-harm">
        {problem}
      </p>
      <DrawGrid
        origin={origin}
        boundary={place.boundary}
        parts={place.strata}
        corners={corners}
        drawing={drawing}
        onCorner={(p) => setCorners((c) => [...c, p])}
        onTakeCorner={(i) => setCorners((c) => c.filter((_, j) => j !== i))}
      />
      {drawing ? (
        <p className="mt-2 flex flex-wrap items-center gap-2">
          <button
            type="button"
            className="min-h-12 rounded-xl bg-culm px-5 font-semibold text-on-culm disabled:opacity-50"
            disabled={corners.length < 3}
            onClick={() => take(polygonFrom(corners))}
          >
            {say('Close the line')}
          </button>
          <button
            type="button"
            className={button}
            disabled={corners.length === 0}
            onClick={() => setCorners((c) => c.slice(0, -1))}
          >
            {say('Undo a corner')}
          </button>
          <span className="text-ink-soft">
            {corners.length > 2
              ? areaWords(areaHa(polygonFrom(corners)))
              : say('{{n}} of at least 3 corners', { n: corners.length })}
          </span>
        </p>
      ) : null}
    </>
  )
}
