import { place, type DemoPlace } from './demoPlace.ts'

/** The Harrowgum valley, half a world from the Tarrow and as invented: sheep on sown and volunteer pasture, its seasons turned. */
export const demoSouth: DemoPlace[] = [
  place(
    { name: 'Harrowgum Flat', client: 'Idris Callow' },
    {
      name: 'Wattle Gully',
      outlook: 'grazing',
      region: 'southern-australasia',
      sown: ['phalaris', 'subterranean-clover'],
      corners: [
        [0, 0],
        [310, 22],
        [342, 190],
        [128, 236],
        [-24, 140],
      ],
      note: 'Sheep camp along the eastern fence.',
    },
    {
      history: [
        { kind: 'fertilised', daysAgo: 250, note: 'Superphosphate', detail: { amount: '120 kg a hectare' } },
        { kind: 'grazed', daysAgo: 24, note: '', detail: { amount: '240 ewes with lambs for 9 days' } },
      ],
      round: {
        title: 'Spring count',
        purpose: 'Can the ewes and lambs stay on here, and what will be left for summer?',
        stops: 30,
        pointsPerStop: 20,
        daysFromToday: -9,
        stage: 'headed',
      },
      herd: {
        animal: 'ewe-twins',
        count: 240,
        residualKgPerHa: 1000,
        usePct: 55,
        refusedPct: 5,
        guessKgPerHa: 2600,
      },
      management: { system: 'moved-in-a-week', stayDays: 7, groundHa: 38 },
      plan: [
        {
          plant: 'patersons-curse',
          text: 'Cut what flowers by the gully before it seeds, with the sheep out of it; dig the rosettes after the autumn rain',
          owner: 'Idris Callow',
          dueInDays: 6,
          backInDays: 165,
          lookFor: 'No flower left, and rosettes under one a pace',
        },
      ],
      sward: [
        ['phalaris', 0.24],
        ['subterranean-clover', 0.17],
        ['annual-ryegrass', 0.13],
        ['capeweed', 0.13],
        ['barley-grass', 0.08],
        ['rats-tail-fescue', 0.06],
        ['patersons-curse', 0.05],
        ['storksbill', 0.04],
        ['onion-grass', 0.03],
        ['slender-thistles', 0.02],
        ['litter', 0.02],
        ['bare', 0.03],
      ],
      evenness: 8,
    },
  ),
]
