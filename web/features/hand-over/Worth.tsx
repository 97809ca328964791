import { hasFeed, labFigures, type FeedResult, type LabResult } from '@/core/assess/feed/labResult.ts'
import type { Growth, MixtureFeed } from '@/core/assess/feed/mixtureFeed.ts'
import type { WeighUp } from '@/core/assess/weighUp.ts'
import type { SwardStage } from '@/core/records/measures.ts'
import { feedBasisWords } from '@/text/feedWords.ts'
import { percent } from '../../parts/words.ts'
import { fixed } from '../../language/numbers.ts'
import { say } from '../../language/say.ts'
import { Say } from '../../language/Say.tsx'

/** With figures for fewer of the plants than this nothing is said of the whole: common practice, no source. */
const LEAST_KNOWN = 0.7

function Estimated({ growth, feed }: { growth: Growth; feed: MixtureFeed }) {
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
          basis: feedBasisWords(growth),
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
    </p>
  )
}

/** A laboratory's figures of the sample that was sent. */
function Measured({ lab }: { lab: FeedResult }) {
  const { cpPct, rfv } = labFigures(lab)
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

/** The same in one line, where it is known at which growth. */
export function InShort({ feed, stage }: Pick<Props, 'feed' | 'stage'>) {
  const growth: Growth = stage === 'leafy' ? 'leafy' : 'stemmy'
  const of = feed[growth]
  if (stage === undefined || !of || of.known < LEAST_KNOWN) return null
  return (
    <p>
      <Say
        text="<b>As feed, {{basis}}:</b> crude protein {{low}} to {{high}} %, relative feed value {{low4}} to {{high4}}, by estimate."
        values={{
          basis: feedBasisWords(growth),
          low: fixed(of.cpPct.low, 0),
          high: fixed(of.cpPct.high, 0),
          low4: fixed(of.rfv.low, 0),
          high4: fixed(of.rfv.high, 0),
        }}
        components={{ b: <b /> }}
      />
    </p>
  )
}

interface Props {
  feed: WeighUp['feed']
  /** Growth that was walked; undefined: both ends of it are told. */
  stage: SwardStage | undefined
  lab: LabResult | undefined
}

/** What the sward is worth as feed, at the growth that was walked. */
export function Worth({ feed, stage, lab }: Props) {
  const growths: Growth[] = stage === undefined ? ['leafy', 'stemmy'] : [stage === 'leafy' ? 'leafy' : 'stemmy']
  if (!feed.leafy && !feed.stemmy) return null
  return (
    <section className="mt-4 break-inside-avoid">
      <h3 className="text-lg">{say('Worth as feed')}</h3>
      {growths.map((growth) => {
        const of = feed[growth]
        return of ? <Estimated key={growth} growth={growth} feed={of} /> : null
      })}
      <p>{say('Estimated from the plants, not from a sample; a laboratory would say what this cut holds.')}</p>
      {hasFeed(lab) && !lab.simulated ? <Measured lab={lab} /> : null}
    </section>
  )
}
