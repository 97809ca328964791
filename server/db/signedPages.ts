import type { Signature, SignedPage } from '@/core/records/signedPage.ts'
import type { Sql } from './db.ts'

const COLUMNS =
  'id, round_id as "roundId", issue, signed_by as "signedBy", signed_at as "signedAt", facts_hash as "factsHash", hash'
type Row = Omit<Signature, 'signedAt'> & { signedAt: Date }
const plain = <T extends Row>(row: T) => ({ ...row, signedAt: new Date(row.signedAt).toISOString() })

/** Signatures of a round, the first issue first. */
export async function listSignatures(db: Sql, roundId: string): Promise<Signature[]> {
  const { rows } = await db.query<Row>(`select ${COLUMNS} from signed_page where round_id = $1 order by issue`, [
    roundId,
  ])
  return rows.map(plain)
}

export async function getSignedPage(db: Sql, id: string): Promise<SignedPage | undefined> {
  const { rows } = await db.query<Row & { page: string }>(`select ${COLUMNS}, page from signed_page where id = $1`, [
    id,
  ])
  return rows[0] && plain(rows[0])
}

/**
 * Keep signed pages. There is no change and no taking out: the same ones again are known for the same.
 *
 * @returns false where another issue of that number stands
 */
export async function addSignedPage(db: Sql, p: SignedPage): Promise<boolean> {
  await db.query(
    `insert into signed_page (id, round_id, issue, signed_by, signed_at, hash, facts_hash, page)
     values ($1, $2, $3, $4, $5, $6, $7, $8) on conflict do nothing`,
    [p.id, p.roundId, p.issue, p.signedBy, p.signedAt, p.hash, p.factsHash, p.page],
  )
  const { rows } = await db.query('select 1 from signed_page where id = $1 and hash = $2', [p.id, p.hash])
  return rows.length > 0
}
