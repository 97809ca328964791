import type { Method } from '@/core/records/method.ts'
import { useMemo, useState } from 'react'
import { missingColumn, guessColumns, readTable, type Columns } from '@/core/formats/read/readTable.ts'
import { methodMeant, methodsFor, roundOfFinds, type RoundRead } from '@/core/formats/read/roundOfFinds.ts'
import { roundFile } from '@/core/formats/roundFile.ts'
import type { Paddock } from '@/core/records/round.ts'
import { openRoundFile } from '../../../api/client.ts'
import type { Places } from '../../../data/readPlaces.ts'
import { useFlora } from '../../../stores/floraStore.ts'
import { openFinds, type Opened } from './openFinds.ts'
import { say } from '../../../language/say.ts'
import { today } from '../../../language/dates.ts'

interface Form {
  paddockId: string
  title: string
  /** Empty: as the file says, or as its amounts look. */
  method: Method | ''
  day: string
  given: Record<string, string>
}

/** A file of finds on its way to a round: what is in it, how it is read, and what is made of it. */
export function useImport({ holdings, paddocks }: Places) {
  const plants = useFlora((s) => s.plants)
  const [opened, setOpened] = useState<Opened>()
  const [columns, setColumns] = useState<Columns>({})
  const [problem, setProblem] = useState('')
  const [form, setForm] = useState<Form>({
    paddockId: paddocks[0]?.id ?? '',
    title: '',
    method: '',
    day: '',
    given: {},
  })
  const set = (patch: Partial<Form>) => setForm((f) => ({ ...f, ...patch }))

  const open = async (file: File) => {
    setProblem('')
    try {
      const read = await openFinds(file)
      setOpened(read)
      setColumns(read.kind === 'table' ? guessColumns(read.headings) : {})
      set({ title: file.name.replace(/\.[^.]*$/, '').slice(0, 200), method: '', day: '', given: {} })
    } catch (error) {
      // What was opened before stays as it was.
      setProblem((error as Error).message)
    }
  }

  const missing = opened?.kind === 'table' ? missingColumn(columns) : undefined
  const finds = useMemo(() => {
    if (!opened || missing) return undefined
    return opened.kind === 'finds' ? opened.finds : readTable(opened.rows, columns)
  }, [opened, columns, missing])

  const paddock: Paddock | undefined = paddocks.find((p) => p.id === form.paddockId)
  const day = form.day || finds?.day || today()
  const methods = finds ? methodsFor(finds) : []
  const method = finds ? (form.method && methods.includes(form.method) ? form.method : methodMeant(finds)) : undefined
  const read = useMemo((): RoundRead | undefined => {
    if (!finds || !paddock || !method || !opened) return undefined
    const holding = holdings.find((h) => h.id === paddock.holdingId)
    return roundOfFinds(
      finds,
      {
        id: crypto.randomUUID(),
        paddock,
        holding: holding?.name ?? '',
        client: holding?.client ?? '',
        title: form.title.trim() || opened.name,
        purpose: say('Read from a file'),
        method,
        day,
        source: say('Read from the file {{name}}', { name: opened.name }),
        given: form.given,
        newId: () => crypto.randomUUID(),
      },
      plants,
    )
  }, [finds, paddock, method, day, opened, form.title, form.given, holdings, plants])

  const takeIn = async (): Promise<string | undefined> => {
    if (!read) return undefined
    try {
      return (await openRoundFile(roundFile(read.round))).roundId
    } catch (error) {
      setProblem((error as Error).message)
      return undefined
    }
  }
  return { opened, columns, setColumns, missing, problem, open, form, set, day, methods, method, read, takeIn }
}
