import { Confirm } from '../../ui/Confirm.tsx'
import { useEffect, useState } from 'react'
import type { Photo } from '@/core/records/specimen.ts'
import { send } from '../../api/client.ts'
import { FileButton } from '../../parts/FileButton.tsx'
import { say } from '../../language/say.ts'

const MOST_MB = 5

/** Pictures from the device, kept beside the description. Never needed. */
export function Photos({ subject, of = say('this plant') }: { subject: string; of?: string }) {
  const [photos, setPhotos] = useState<Photo[]>([])
  const [problem, setProblem] = useState('')
  const address = `/api/photos?subject=${encodeURIComponent(subject)}`
  useEffect(() => {
    let current = true
    if (subject)
      void send<Photo[]>('GET', address).then(
        (list) => current && setPhotos(list),
        () => undefined,
      )
    return () => void (current = false)
  }, [address, subject])
  const add = async (file: File) => {
    setProblem('')
    if (file.size > MOST_MB * 1024 * 1024) {
      setProblem(
        say('{{name}} is larger than {{MOSTMB}} MB. Take it smaller and add it again.', {
          name: file.name,
          MOSTMB: MOST_MB,
        }),
      )
      return
    }
    const id = crypto.randomUUID()
    try {
      const response = await fetch(`/api/photos/${id}?subject=${encodeURIComponent(subject)}`, {
        method: 'PUT',
        body: file,
      })
      const answer = (await response.json()) as Photo & { error?: { message: string } }
      if (!response.ok) return setProblem(answer.error?.message ?? say('The picture was not kept.'))
      setPhotos((p) => [...p, answer])
    } catch {
      setProblem(say('The server does not answer; the picture was not kept. Add it again when it is back.'))
    }
  }
  const remove = async (id: string) => {
    try {
      await send('DELETE', `/api/photos/${id}`)
      setPhotos((p) => p.filter((x) => x.id !== id))
    } catch (error) {
      setProblem(say('The picture is still there: {{message}}', { message: (error as Error).message }))
    }
  }
  return (
    <div>
      <FileButton
        label={say('Add a picture')}
        accept="image/jpeg,image/png,image/webp"
        onFile={(file) => void add(file)}
      />
      <p role="alert" className="text-harm">
        {problem}
      </p>
      {photos.length > 0 ? (
        <ul className="mt-2 flex flex-wrap gap-2">
          {photos.map((p, i) => (
            <li key={p.id} className="relative">
              <a href={`/api/photos/${p.id}`} target="_blank" rel="noreferrer">
                <img
                  src={`/api/photos/${p.id}`}
                  alt={say('Picture {{i}} of {{it}}', { i: i + 1, it: of })}
                  width="96"
                  height="96"
                  className="size-24 rounded-xl border border-rule object-cover"
                />
              </a>
              <Confirm
                title={say('Take picture {{i}} away?', { i: i + 1 })}
                detail={say('It is deleted for everybody; there is no way back.')}
                act={say('Take it away')}
                onConfirm={() => void remove(p.id)}
              >
                <button
                  type="button"
                  aria-label={say('Take picture {{i}} away', { i: i + 1 })}
                  className="absolute -top-2 -right-2 size-11 rounded-full border border-rule bg-sheet"
                >
                  ×
                </button>
              </Confirm>
            </li>
          ))}
        </ul>
      ) : null}
    </div>
  )
}
