import { expect, it } from 'vitest'
import { namedPlants } from '@/core/formats/read/namedPlants.ts'
import { flora } from '@/tests/support/book.ts'

it('a list that somebody typed: any name, commas or lines between, each plant once, what is no name said', () => {
  const { taxa, unread } = namedPlants(
    'Tansy ragwort, Cirsium arvense (L.) Scop.; creeping thistle\nSenecio sylvaticus, the nasty one,, bare ground',
    flora.plants,
  )
  expect(taxa).toEqual(['tansy-ragwort', 'canada-thistle', 'latin:Senecio sylvaticus'])
  expect(unread).toEqual(['the nasty one', 'bare ground'])
})
