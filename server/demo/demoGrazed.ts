import { place, type DemoPlace } from './demoPlace.ts'

/** Holdings of the Tarrow valley that graze: a dairy-goat holding and a livery yard. */
export const demoGrazed: DemoPlace[] = [
  place(
    { name: 'Withy Bank Goat Dairy', client: 'Ansa Merrowfield' },
    {
      name: 'Long Croft',
      outlook: 'grazing',
      sown: ['perennial-ryegrass', 'timothy', 'white-clover', 'red-clover', 'buckhorn-plantain'],
      corners: [
        [0, 0],
        [205, -14],
        [238, 62],
        [196, 128],
        [92, 140],
        [8, 96],
      ],
    },
    {
      history: [
        {
          kind: 'sown',
          daysAgo: 560,
          note: 'Drilled in two directions',
          detail: {
            sown: [
              { plant: 'perennial-ryegrass', kgPerHa: 14, pls: 0.86 },
              { plant: 'timothy', kgPerHa: 6, pls: 0.82 },
              { plant: 'white-clover', kgPerHa: 2.5, pls: 0.8 },
              { plant: 'red-clover', kgPerHa: 4, pls: 0.8 },
              { plant: 'buckhorn-plantain', kgPerHa: 1.5, pls: 0.75 },
            ],
          },
        },
        { kind: 'fertilised', daysAgo: 210, note: '', detail: { amount: '25 t a hectare of farmyard manure' } },
        { kind: 'grazed', daysAgo: 30, note: '', detail: { amount: '62 goats for 4 days' } },
      ],
      round: {
        title: 'Before turnout',
        purpose: 'Feed for milking goats; what must come out first',
        stops: 30,
        pointsPerStop: 20,
        daysFromToday: 0,
      },
      sward: [],
      evenness: 8,
    },
  ),
  place(
    { name: 'Candle Lane Livery', client: 'Joss Tallentyre' },
    {
      name: 'Pond Paddock',
      outlook: 'grazing',
      sown: [],
      corners: [
        [420, 40],
        [560, 22],
        [602, 96],
        [548, 168],
        [436, 150],
      ],
      parts: [
        {
          name: 'Pond edge',
          kind: 'wet hollow',
          keptOut: false,
          corners: [
            [500, 100],
            [575, 92],
            [580, 122],
            [548, 160],
            [505, 152],
          ],
        },
        {
          name: 'Gateway',
          kind: 'gateway',
          keptOut: true,
          corners: [
            [421, 40],
            [448, 37],
            [450, 60],
            [424, 64],
          ],
        },
      ],
      note: 'The pond dries out in August; the gate is where they stand and wait.',
    },
    {
      history: [
        { kind: 'grazed', daysAgo: 40, note: '', detail: { amount: '8 horses, day and night since June' } },
        {
          kind: 'cut',
          daysAgo: 95,
          note: 'Ragwort in flower was pulled, not topped',
          detail: { amount: 'topped at 8 cm' },
        },
        { kind: 'other', daysAgo: 400, note: 'Harrowed after the dry spell', detail: {} },
      ],
      round: {
        title: 'Harm walk and count',
        purpose: 'Is it fit for eight horses over winter?',
        stops: 30,
        pointsPerStop: 20,
        daysFromToday: -12,
        stage: 'leafy',
      },
      herd: { animal: 'horse-idle', count: 8, residualKgPerHa: 1500, usePct: 50, refusedPct: 0, guessKgPerHa: 2000 },
      plan: [
        {
          plant: 'tansy-ragwort',
          text: 'Tansy ragwort: lift the crown with all its roots, a hand deep; carry out every piece',
          owner: 'Joss Tallentyre',
          dueInDays: 3,
          backInDays: 45,
          lookFor: 'Regrowth and seedlings of tansy ragwort where it stood',
        },
        {
          plant: null,
          text: 'Name unknown A before horses are turned in',
          owner: '',
          dueInDays: 5,
          backInDays: null,
          lookFor: '',
        },
      ],
      earlier: [
        {
          yearsAgo: 3,
          then: { 'perennial-ryegrass': 0.37, velvetgrass: 0.1, 'tansy-ragwort': 0.002, bare: 0.03, 'unknown:A': 0 },
        },
        {
          yearsAgo: 2,
          then: { 'perennial-ryegrass': 0.32, velvetgrass: 0.13, 'tansy-ragwort': 0.008, bare: 0.04, 'unknown:A': 0 },
        },
        {
          yearsAgo: 1,
          then: { 'perennial-ryegrass': 0.28, velvetgrass: 0.17, 'tansy-ragwort': 0.018, 'unknown:A': 0 },
        },
      ],
      sward: [
        ['perennial-ryegrass', 0.24],
        ['velvetgrass', 0.2],
        ['red-fescue', 0.13],
        ['kentucky-bluegrass', 0.1],
        ['white-clover', 0.07],
        ['alsike-clover', 0.03],
        ['broadleaf-plantain', 0.05],
        ['dandelion', 0.04],
        ['tansy-ragwort', 0.03],
        ['unknown:A', 0.02],
        ['bull-thistle', 0.01],
        ['bare', 0.06],
        ['litter', 0.02],
      ],
      evenness: 7,
    },
  ),
]
