import { isISO8601, isUUID } from 'class-validator'
import { Router, type Request, type Response } from 'express'
import type { Principal } from '../access/authenticate.ts'
import { accountFor, addAccount, changeAccount, listAccounts, setPassword, type Account } from '../access/accounts.ts'
import { listAudit } from '../access/audit.ts'
import { limitSignIn } from '../access/limits.ts'
import { addLink, deleteLink, listLinks, noteOpened } from '../access/links.ts'
import type { PlanLine } from '@/core/records/planItem.ts'
import type { Round } from '@/core/records/round.ts'
import { told } from '@/contract/told.ts'
import type { Db } from '../db/db.ts'
import { getSignedPage, listSignatures } from '../db/signedPages.ts'
import { listKept } from '../db/kept.ts'
import { listPlan } from '../db/plan.ts'
import { getRound } from '../db/rounds.ts'
import { badRequest, HttpError, notFound } from '../http/httpError.ts'
import { idOf } from '../http/idOf.ts'
import { parseBody } from '../http/parseBody.ts'
import {
  AccountInput,
  LinkInput,
  NewAccountInput,
  OwnPasswordInput,
  PasswordInput,
  SignInInput,
} from '@/contract/input/access.ts'

const askerIn = (res: Response) => res.locals.asker as Principal

/** A session of its own: what the browser held before is worth nothing afterwards. */
async function beginSession(req: Request, account: Account): Promise<void> {
  await new Promise<void>((done, fail) => req.session.regenerate((e) => (e ? fail(e as Error) : done())))
  req.session.accountId = account.id
  await new Promise<void>((done, fail) => req.session.save((e) => (e ? fail(e as Error) : done())))
}

function signing(db: Db): Router {
  return Router()
    .get('/me', (_req, res) => {
      const { who, role, accountId } = askerIn(res)
      res.json({ accounts: true, account: accountId ? { name: who, role } : null })
    })
    .post('/sign-in', ...limitSignIn(db), async (req, res) => {
      const { name, password } = parseBody(SignInInput, req.body)
      const account = await accountFor(db, name, password)
      if (!account) throw new HttpError(401, 'sign-in', told('There is no account with this name and password.'))
      await beginSession(req, account)
      res.locals.asker = { who: account.name, role: account.role, accountId: account.id } satisfies Principal
      res.json({ accounts: true, account: { name: account.name, role: account.role } })
    })
    .post('/sign-out', async (req, res) => {
      await new Promise<void>((done, fail) => req.session.destroy((e) => (e ? fail(e as Error) : done())))
      res.clearCookie('fold-sprig').set('clear-site-data', '"cache"').json({ accounts: true, account: null })
    })
    .put('/me/password', ...limitSignIn(db), async (req, res) => {
      const { now, password } = parseBody(OwnPasswordInput, req.body)
      const account = await accountFor(db, askerIn(res).who, now)
      if (!account) throw badRequest(told('That is not your password of today.'), 'now')
      await setPassword(db, account, password)
      await beginSession(req, account)
      res.json({ id: account.id })
    })
}

const accountIn = async (db: Db, id: string): Promise<Account> => {
  const account = isUUID(id) ? (await listAccounts(db)).find((a) => a.id === id) : undefined
  if (!account) throw notFound('account')
  return account
}

function accounts(db: Db): Router {
  return Router()
    .get('/accounts', async (_req, res) => void res.json(await listAccounts(db)))
    .post('/accounts', async (req, res) => {
      res.status(201).json(await addAccount(db, parseBody(NewAccountInput, req.body)))
    })
    .put('/accounts/:id', async (req, res) => {
      const input = parseBody(AccountInput, req.body)
      const account = await accountIn(db, req.params.id)
      res.json(await changeAccount(db, account.id, input))
    })
    .put('/accounts/:id/password', async (req, res) => {
      const { password } = parseBody(PasswordInput, req.body)
      const account = await accountIn(db, req.params.id)
      await setPassword(db, account, password)
      res.json({ id: account.id })
    })
    .get('/audit', async (req, res) => {
      const { before } = req.query
      if (before !== undefined && !isISO8601(before, { strict: true }))
        throw badRequest(told('A moment is needed.'), 'before')
      res.json(await listAudit(db, before as string | undefined))
    })
}

/** What stands on the pages of a round, and no more: notes and who counted are the advisor's own, other rounds another's. */
function forClient(round: Round, plan: PlanLine[]): { round: Round; plan: PlanLine[] } {
  const settings = { ...round.settings }
  delete settings.observer
  return {
    round: { ...round, settings, paddock: { ...round.paddock, note: '' } },
    plan: plan.filter((p) => p.roundId === null || p.roundId === round.id).map((p) => ({ ...p, outcome: '' })),
  }
}

function links(db: Db): Router {
  return Router()
    .get('/links', async (req, res) => {
      const { round } = req.query
      if (!isUUID(round)) throw badRequest(told('Say which round the links are of.'), 'round')
      res.json(await listLinks(db, round as string))
    })
    .post('/links', async (req, res) => {
      const input = parseBody(LinkInput, req.body)
      if (!(await getRound(db, input.roundId))) throw badRequest(told('There is no such round.'), 'roundId')
      res.status(201).json(await addLink(db, { ...input, madeBy: askerIn(res).who }))
    })
    .delete('/links/:id', async (req, res) => {
      await deleteLink(db, idOf(req.params.id, 'id'))
      res.json({ id: req.params.id })
    })
    .get('/shared', async (_req, res) => {
      const { link } = askerIn(res)
      if (!link) throw badRequest(told('This is read with a link that an advisor has made.'))
      const round = (await getRound(db, link.roundId))!
      const [plan, kept] = await Promise.all([listPlan(db, round.paddockId), listKept(db)])
      await noteOpened(db, link.id)
      const about = [round.id, round.paddockId, round.paddock.holdingId]
      const said = kept.filter((k) => about.includes(k.subject))
      const latest = (await listSignatures(db, round.id)).at(-1)
      const signed = latest && (await getSignedPage(db, latest.id))
      res.set('cache-control', 'no-store').json({ ...forClient(round, plan), kept: said, signed })
    })
}

/** Who comes in, and what for. */
export function accessRoutes(db: Db, open: boolean): Router {
  if (!open) return Router().get('/me', (_req, res) => void res.json({ accounts: false, account: null }))
  return Router().use(signing(db)).use(accounts(db)).use(links(db))
}
