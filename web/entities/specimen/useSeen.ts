import { useMemo } from 'react'
import type { Verification } from '@/core/records/verification.ts'
import { naturalFrequency } from '@/text/certaintyWords.ts'
import { reads, useRead } from '../../data/reads.ts'
import { dayWords } from '../../language/dates.ts'
import { say } from '../../language/say.ts'

/** A specimen that was named here, and what is known of its name. */
export interface Seen {
  /** What its pictures belong to. */
  subject: string
  /** Day, letter and place. */
  what: string
  /** How sure, by whom, and whether somebody looked again. */
  says: string
  verified: boolean
}

const checkWords = (check: Verification | undefined, plant: string): string =>
  !check
    ? say('not looked at again yet')
    : check.was === plant
      ? say('looked at again {{day}}: it was that', { day: dayWords(check.checkedOn) })
      : say('looked at again {{day}}: it was another', { day: dayWords(check.checkedOn) })

const joined = (parts: (string | false | undefined)[]) => parts.filter(Boolean).join(', ')

/** Where a plant was named here, those that somebody confirmed first. */
export function useSeen(plant: string) {
  const namings = useRead(reads.namings)
  const { data: checks } = useRead(reads.checks)
  const { data: unknowns } = useRead(reads.unknowns)
  const seen = useMemo((): Seen[] => {
    const named = (namings.data ?? [])
      .filter((n) => n.plant === plant)
      .map((n) => {
        const check = checks?.find((c) => c.namingId === n.id)
        return {
          subject: n.id,
          what: joined([dayWords(n.namedAt), n.place]),
          says: joined([naturalFrequency(n.probability), checkWords(check, plant)]),
          verified: check?.was === plant,
        }
      })
    const letters = (unknowns ?? [])
      .filter((u) => u.namedAs === plant)
      .map((u) => ({
        subject: u.id,
        what: joined([say('Unknown {{letter}}', { letter: u.letter }), dayWords(u.madeAt), u.place]),
        says: u.opinion?.plant === plant && u.opinion.by ? say('named by {{by}}', { by: u.opinion.by }) : '',
        verified: false,
      }))
    return [...named, ...letters].sort((a, b) => Number(b.verified) - Number(a.verified))
  }, [namings.data, checks, unknowns, plant])
  return { seen, problem: namings.problem, again: namings.again }
}
