import { place, type DemoPlace } from './demoPlace.ts'

/** Holdings of the Tarrow valley that mow and sow: a hay meadow, a sports ground, a native strip. */
export const demoOther: DemoPlace[] = [
  place(
    { name: 'Lower Ham Commoners', client: 'Edda Quillfeather' },
    {
      name: 'River Meadow',
      outlook: 'hay',
      sown: [],
      corners: [
        [40, 320],
        [170, 296],
        [330, 330],
        [352, 402],
        [198, 428],
        [60, 404],
      ],
    },
    {
      round: {
        title: 'Hay worth',
        purpose: 'Cut or graze, and what the hay would be worth',
        stops: 24,
        pointsPerStop: 20,
        daysFromToday: -20,
        stage: 'stemmy',
      },
      plan: [
        {
          plant: null,
          text: 'Cut for hay once the red clover is in bud, on the first three dry days',
          owner: 'Edda Quillfeather',
          dueInDays: 200,
          backInDays: 235,
          lookFor: 'Aftermath a hand high before it is grazed',
        },
      ],
      sward: [
        ['orchardgrass', 0.16],
        ['meadow-fescue', 0.14],
        ['red-fescue', 0.12],
        ['timothy', 0.09],
        ['red-clover', 0.13],
        ['birdsfoot-trefoil', 0.06],
        ['buckhorn-plantain', 0.1],
        ['western-yarrow', 0.06],
        ['wild-carrot', 0.05],
        ['dandelion', 0.04],
        ['litter', 0.03],
        ['bare', 0.02],
      ],
      evenness: 12,
    },
  ),
  place(
    { name: 'Tarrow Parish', client: 'The Green Keepers of Tarrow' },
    {
      name: 'Sports Ground',
      outlook: 'turf',
      sown: ['perennial-ryegrass', 'kentucky-bluegrass'],
      corners: [
        [600, 300],
        [720, 300],
        [720, 378],
        [600, 378],
      ],
    },
    {
      round: {
        title: 'Wear before the season',
        purpose: 'Sown share, bare ground, what creeps in',
        stops: 20,
        pointsPerStop: 25,
        daysFromToday: -6,
        stage: 'leafy',
      },
      plan: [
        {
          plant: 'annual-bluegrass',
          text: 'Annual bluegrass: open the goal mouths with a fork, overseed with perennial ryegrass',
          owner: 'The Green Keepers of Tarrow',
          dueInDays: 12,
          backInDays: 54,
          lookFor: 'Bare ground under 5 % in the goal mouths',
        },
      ],
      sward: [
        ['perennial-ryegrass', 0.47],
        ['kentucky-bluegrass', 0.16],
        ['annual-bluegrass', 0.18],
        ['white-clover', 0.05],
        ['broadleaf-plantain', 0.03],
        ['large-crabgrass', 0.02],
        ['bare', 0.09],
      ],
      evenness: 10,
    },
  ),
  place(
    { name: 'Mill Strip Trust', client: 'Orrin Vale' },
    {
      name: 'Native Strip',
      outlook: 'native',
      sown: ['switchgrass', 'big-bluestem', 'indiangrass', 'little-bluestem', 'sideoats-grama'],
      corners: [
        [380, 480],
        [640, 520],
        [634, 556],
        [376, 518],
      ],
    },
    {
      round: {
        title: 'First spring after sowing',
        purpose: 'Did the sown grasses come up?',
        stops: 20,
        pointsPerStop: 10,
        daysFromToday: 9,
      },
      sward: [],
      evenness: 8,
    },
  ),
]
