/** A term of the trade that is not a character of the book, in plain words. */
export interface Term {
  id: string
  term: string
  means: string
  /** How it stands in a text, where not as the term is; none where the word has a plain sense as well. */
  written?: string[]
  /** A part of a plant that shows it. */
  drawn?: [character: string, state: string]
}

/** Words that stand in the screens. Text of our own; meanings are common practice unless a source is named. */
export const terms: Term[] = [
  {
    id: 'vernation',
    term: 'Vernation',
    means: 'How the newest leaf lies in the shoot: rolled like a sheet of paper, or folded like a card.',
    drawn: ['vernation', 'rolled'],
  },
  {
    id: 'ligule',
    term: 'Ligule',
    means: 'What stands up inside the collar where blade and sheath meet: a skin, a row of hairs, or nothing.',
    written: ['ligule', 'ligules'],
    drawn: ['ligule.type', 'membrane'],
  },
  {
    id: 'auricle',
    term: 'Auricle',
    means: 'A claw or stub at each side of the collar; some clasp the shoot.',
    written: ['auricle', 'auricles'],
    drawn: ['auricles', 'clasping'],
  },
  {
    id: 'stipule',
    term: 'Stipule',
    means: 'A small leaf-like piece at the foot of a leaf stalk, in clover and its kin.',
    written: ['stipule', 'stipules'],
    drawn: ['stipule.form', 'broad-veined'],
  },
  {
    id: 'sheath',
    term: 'Sheath',
    means: 'The lower part of a grass leaf, wrapped round the shoot.',
    written: ['sheath', 'sheaths'],
    drawn: ['sheath.margin', 'open'],
  },
  {
    id: 'stolon',
    term: 'Runner (stolon)',
    means: 'A stem that creeps above ground and roots at its joints.',
    written: ['stolon', 'stolons'],
    drawn: ['habit', 'stolon'],
  },
  {
    id: 'rhizome',
    term: 'Rhizome',
    means: 'A white, jointed stem underground. It is not a root; a plant that has one spreads.',
    written: ['rhizome', 'rhizomes'],
    drawn: ['habit', 'rhizome'],
  },
  {
    id: 'cover',
    term: 'Cover',
    means: 'Share of the ground that a plant hides when seen from straight above.',
    written: [],
  },
  {
    id: 'frequency',
    term: 'Frequency',
    means: 'Share of frames of one size that hold a plant at all. It changes with the size of the frame.',
    written: [],
  },
  {
    id: 'first-hit',
    term: 'First hit',
    means: 'The first thing that a lowered pin touches: one plant, bare ground or litter at each point.',
    written: ['first hit', 'first hits'],
  },
  {
    id: 'dry-weight-rank',
    term: 'Dry-weight rank',
    means:
      "The three plants of a frame that weigh most, in order; their shares follow from fixed multipliers ('t Mannetje and Haydock 1963).",
  },
  {
    id: 'interval',
    term: '95 % interval',
    means: 'A range made so that it holds the true value 95 times in 100. Wide means that little was seen.',
    written: ['95 % interval', '95 % intervals'],
  },
  {
    id: 'design-effect',
    term: 'Design effect',
    means:
      'How many times less the points tell because those of one stop are alike; at 3, 600 points tell as much as 200 scattered ones.',
  },
  {
    id: 'stratum',
    term: 'Part (stratum)',
    means:
      'A part of a paddock that is unlike the rest, such as a wet hollow; counted on its own and weighed by its size.',
    written: ['stratum', 'strata'],
  },
  {
    id: 'double-sampling',
    term: 'Double sampling',
    means:
      'Many quick readings, some of them clipped and weighed; the line through those turns all readings into mass.',
  },
  {
    id: 'none-found',
    term: 'None found',
    means:
      'Never the same as none there. With none in n looks, up to about 3 in n could still hold one (Hanley and Lippman-Hand 1983).',
    written: [],
  },
  {
    id: 'ndf',
    term: 'NDF',
    means: 'Neutral detergent fibre: all of the cell wall. The more, the less an animal eats.',
  },
  {
    id: 'adf',
    term: 'ADF',
    means: 'Acid detergent fibre: the wall that is hard to digest. The more, the less energy.',
  },
  { id: 'tdn', term: 'TDN', means: 'Total digestible nutrients: a measure of energy, percent of dry matter.' },
  {
    id: 'rfv',
    term: 'Relative feed value',
    means: 'Digestibility times intake against full-bloom alfalfa, which is 100.',
  },
  {
    id: 'aum',
    term: 'Animal unit month',
    means: 'What one cow eats in a month. Two conventions are in use, so the one used is said.',
    written: ['animal unit month', 'animal unit months', 'AUM'],
  },
  {
    id: 'residual',
    term: 'Residual',
    means: 'Dry matter that is left standing when stock move on, so that the sward grows again.',
    written: ['residual'],
  },
  {
    id: 'pls',
    term: 'Pure live seed',
    means: 'Purity times germination: the share of a bag that is seed of the kind and will grow.',
    written: ['pure live seed', 'live seed'],
  },
  {
    id: 'endophyte',
    term: 'Endophyte',
    means: 'A fungus inside a grass that no eye sees; some strains harm stock. A laboratory tells.',
  },
  {
    id: 'bloat',
    term: 'Bloat',
    means: 'Froth in the rumen that holds gas in, mostly from lush legumes; it can kill within hours.',
  },
  {
    id: 'brier',
    term: 'Brier score',
    means:
      'Mean of the squared difference between how sure one was and what came: 0 the best, 0.25 a coin (Brier 1950).',
  },
  {
    id: 'kappa',
    term: 'Kappa',
    means: 'Agreement of two people beyond what chance would give: 1 is whole, 0 is chance (Cohen 1960).',
  },
]
