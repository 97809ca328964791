import { say } from '../language/say.ts'
import type { Term } from './term.ts'

/** Terms of counting, feed, harm and figures. */
export const termsOfCounting: Term[] = [
  {
    id: 'cover',
    get term() {
      return say('Cover')
    },
    get means() {
      return say('Share of the ground that a plant hides when seen from straight above.')
    },
    written: [],
  },
  {
    id: 'frequency',
    get term() {
      return say('Frequency')
    },
    get means() {
      return say('Share of frames of one size that hold a plant at all. It changes with the size of the frame.')
    },
    written: [],
  },
  {
    id: 'first-hit',
    get term() {
      return say('First hit')
    },
    get means() {
      return say('The first thing that a lowered pin touches: one plant, bare ground or litter at each point.')
    },
    get written() {
      return [say('first hit'), say('first hits')]
    },
  },
  {
    id: 'dry-weight-rank',
    get term() {
      return say('Dry-weight rank')
    },
    get means() {
      return say(
        "The three plants of a frame that weigh most, in order; their shares follow from fixed multipliers ('t Mannetje and Haydock 1963).",
      )
    },
  },
  {
    id: 'interval',
    get term() {
      return say('95 % interval')
    },
    get means() {
      return say('A range made so that it holds the true value 95 times in 100. Wide means that little was seen.')
    },
    get written() {
      return [say('95 % interval'), say('95 % intervals')]
    },
  },
  {
    id: 'design-effect',
    get term() {
      return say('Design effect')
    },
    get means() {
      return say(
        'How many times less the points tell because those of one stop are alike; at 3, 600 points tell as much as 200 scattered ones.',
      )
    },
  },
  {
    id: 'stratum',
    get term() {
      return say('Part (stratum)')
    },
    get means() {
      return say(
        'A part of a paddock that is unlike the rest, such as a wet hollow; counted on its own and weighed by its size.',
      )
    },
    written: ['stratum', 'strata'],
  },
  {
    id: 'double-sampling',
    get term() {
      return say('Double sampling')
    },
    get means() {
      return say(
        'Many quick readings, some of them clipped and weighed; the line through those turns all readings into mass.',
      )
    },
  },
  {
    id: 'none-found',
    get term() {
      return say('None found')
    },
    get means() {
      return say(
        'Never the same as none there. With none in n looks, up to about 3 in n could still hold one, which is right 95 times in 100 (Hanley and Lippman-Hand 1983).',
      )
    },
    written: [],
  },
  {
    id: 'ndf',
    term: 'NDF',
    get means() {
      return say('Neutral detergent fibre: all of the cell wall. The more, the less an animal eats.')
    },
  },
  {
    id: 'adf',
    term: 'ADF',
    get means() {
      return say('Acid detergent fibre: the wall that is hard to digest. The more, the less energy.')
    },
  },
  {
    id: 'tdn',
    term: 'TDN',
    get means() {
      return say('Total digestible nutrients: a measure of energy, percent of dry matter.')
    },
  },
  {
    id: 'rfv',
    get term() {
      return say('Relative feed value')
    },
    get means() {
      return say('Digestibility times intake against full-bloom alfalfa, which is 100.')
    },
  },
  {
    id: 'aum',
    get term() {
      return say('Animal unit month')
    },
    get means() {
      return say('What one cow eats in a month. Two conventions are in use, so the one used is said.')
    },
    get written() {
      return [say('animal unit month'), say('animal unit months'), 'AUM']
    },
  },
  {
    id: 'residual',
    get term() {
      return say('Residual')
    },
    get means() {
      return say('Dry matter that is left standing when stock move on, so that the sward grows again.')
    },
    written: ['residual'],
  },
  {
    id: 'pls',
    get term() {
      return say('Pure live seed')
    },
    get means() {
      return say('Purity times germination: the share of a bag that is seed of the kind and will grow.')
    },
    get written() {
      return [say('pure live seed'), say('live seed')]
    },
  },
  {
    id: 'endophyte',
    get term() {
      return say('Endophyte')
    },
    get means() {
      return say('A fungus inside a grass that no eye sees; some strains harm stock. A laboratory tells.')
    },
  },
  {
    id: 'bloat',
    get term() {
      return say('Bloat')
    },
    get means() {
      return say('Froth in the rumen that holds gas in, mostly from lush legumes; it can kill within hours.')
    },
  },
  {
    id: 'brier',
    get term() {
      return say('Brier score')
    },
    get means() {
      return say(
        'Mean of the squared difference between how sure one was and what came: 0 the best, 0.25 a coin (Brier 1950).',
      )
    },
  },
  {
    id: 'kappa',
    get term() {
      return say('Kappa')
    },
    get means() {
      return say('Agreement of two people beyond what chance would give: 1 is whole, 0 is chance (Cohen 1960).')
    },
  },
]
