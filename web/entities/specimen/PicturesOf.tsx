import { useMemo } from 'react'
import { reads, useRead } from '../../data/reads.ts'
import { say } from '../../language/say.ts'

/** Pictures that somebody took of one specimen, with what is said of them where there are any. */
export function PicturesOf({ subject, name, caption }: { subject: string; name: string; caption?: string }) {
  const { data = [] } = useRead(useMemo(() => reads.photosOf(subject), [subject]))
  if (data.length === 0) return null
  return (
    <>
      <ul className="mt-1 flex flex-wrap gap-2">
        {data.map((p) => (
          <li key={p.id}>
            <a href={`/api/photos/${p.id}`}>
              <img
                src={`/api/photos/${p.id}`}
                alt={say('Picture of {{name}}', { name })}
                loading="lazy"
                className="size-28 rounded-xl border border-rule object-cover"
              />
            </a>
          </li>
        ))}
      </ul>
      {caption ? <p className="text-ink-soft">{caption}</p> : null}
    </>
  )
}
