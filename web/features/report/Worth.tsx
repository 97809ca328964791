import { hasFeed, labFigures, type FeedResult, type LabResult } from '@/core/assess/feed/labResult.ts'
import type { MixtureFeed } from '@/core/assess/feed/mixtureFeed.ts'
import type { WeighUp } from '@/core/assess/weighUp.ts'
import { asHay, hayDesignation } from '@/core/assess/feed/hay.ts'
import { hayWords, walkedWords } from '@/text/feedWords.ts'
import { percent } from '../../parts/words.ts'
import { fixed } from '../../language/numbers.ts'
import { say } from '../../language/say.ts'
import { Say } from '../../language/Say.tsx'

/** With figures for fewer of the plants than this nothing is said of the whole: common practice, no source. */
const LEAST_KNOWN = 0.7

function Estimated({ feed, asHayToo }: { feed: MixtureFeed; asHayToo: boolean }) {
  if (feed.known < LEAST_KNOWN)
    return (
      <p>
        {say('Not worked out: figures are on file for only {{known}} of the plants.', { known: percent(feed.known) })}
      </p>
    )
  return (
    <p>
      <Say
        text="<b>For {{basis}}:</b> crude protein {{low}} to {{high}} % of dry matter, ADF {{low2}} to {{high2}} %, NDF {{low3}} to {{high3}} %, relative feed value {{low4}} to {{high4}} (full-bloom alfalfa is 100)."
        values={{
          basis: walkedWords(feed.at),
          low: fixed(feed.cpPct.low, 0),
          high: fixed(feed.cpPct.high, 0),
          low2: fixed(feed.adfPct.low, 0),
          high2: fixed(feed.adfPct.high, 0),
          low3: fixed(feed.ndfPct.low, 0),
          high3: fixed(feed.ndfPct.high, 0),
          low4: fixed(feed.rfv.low, 0),
          high4: fixed(feed.rfv.high, 0),
        }}
        components={{ b: <b /> }}
      />
      {asHayToo ? ` ${hayOf(feed)}` : ''}
    </p>
  )
}

/** A laboratory's figures of the sample that was sent. */
function Measured({ lab, classes }: { lab: FeedResult; classes: MixtureFeed['classes'] }) {
  const { cpPct, rfv } = labFigures(lab, classes)
  return (
    <p>
      <Say
        text="<b/> crude protein {{cpPct}} % ({{low}} to {{high}}), relative feed value {{middle}} ({{low2}} to {{high2}}). It stands in place of the estimate for the sample that was sent."
        values={{
          cpPct: fixed(lab.cpPct, 1),
          low: fixed(cpPct.low, 1),
          high: fixed(cpPct.high, 1),
          middle: fixed(rfv.middle, 0),
          low2: fixed(rfv.low, 0),
          high2: fixed(rfv.high, 0),
        }}
        components={{ b: <b>{say('Laboratory, sample {{sample}}', { sample: lab.sample })}:</b> }}
      />
    </p>
  )
}

/** What hay of such growth would be called, dried and baled. */
const hayOf = (feed: MixtureFeed): string => {
  const legume = feed.classes.legume ?? 0
  return say('Dried and baled about {{hay}}.', { hay: hayWords(hayDesignation({ ...asHay(feed, legume), legume })) })
}

/** The same in one line, where it is known at which growth. */
export function InShort({ feed, hay }: Pick<Props, 'feed' | 'hay'>) {
  const of = feed?.walked
  if (!of || of.at.by === 'month' || of.known < LEAST_KNOWN) return null
  return (
    <p>
      <Say
        text="<b>As feed, {{basis}}:</b> crude protein {{low}} to {{high}} %, relative feed value {{low4}} to {{high4}}, by estimate."
        values={{
          basis: walkedWords(of.at),
          low: fixed(of.cpPct.low, 0),
          high: fixed(of.cpPct.high, 0),
          low4: fixed(of.rfv.low, 0),
          high4: fixed(of.rfv.high, 0),
        }}
        components={{ b: <b /> }}
      />
      {hay ? ` ${hayOf(of)}` : ''}
    </p>
  )
}

interface Props {
  feed: WeighUp['feed']
  lab: LabResult | undefined
  /** It is to be hay. */
  hay: boolean
}

/** What the sward is worth as feed, at the growth that was walked, or as it may stand where nobody noted it. */
export function Worth({ feed, lab, hay }: Props) {
  if (!feed) return null
  return (
    <section className="mt-4 break-inside-avoid">
      <h3 className="text-lg">{say('Worth as feed')}</h3>
      <Estimated feed={feed.walked} asHayToo={hay} />
      <p>{say('Estimated from the plants, not from a sample; a laboratory would say what this cut holds.')}</p>
      {hasFeed(lab) && !lab.simulated ? <Measured lab={lab} classes={feed.walked.classes} /> : null}
    </section>
  )
}
