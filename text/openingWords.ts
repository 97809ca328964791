import { say } from './say.ts'

/** What a place is called and what is found there: said while the app is still on its way. */
export interface OpeningWords {
  title: string
  lead: string
}

const rounds = () => ({
  title: say('Rounds'),
  lead: say(
    'Rounds that are to be walked, those that were counted with what they are made of, and the paddocks they belong to. What was typed without signal is kept on this device and goes out by itself.',
  ),
})

/** Of each place by its path in the router; others open with the head alone. */
const openings: Record<string, () => OpeningWords> = {
  '/': rounds,
  '/rounds': rounds,
  '/bench': () => ({
    title: say('Bench'),
    lead: say(
      'Say what the hand feels and the eye sees, one look after another. The names that fit come forward, with how sure each is, and the harmful ones that are not yet excluded stand beside them.',
    ),
  }),
  '/plants': () => ({
    title: say('Plant book'),
    lead: say(
      'Grasses, clovers, herbs and shrubs as they look while nothing is in flower: what to feel for, what each is taken for, the check that tells the two apart, and what in it can harm.',
    ),
  }),
  '/plants/:id/:chapter?': () => ({ title: say('Plant book'), lead: '' }),
  '/practice': () => ({
    title: say('Practice'),
    lead: say(
      'Specimens to be named from a stub of leaf, frames to be judged by eye, poisons that must not be let pass. What is due comes first; each answer says how sure it is, and is kept.',
    ),
  }),
  '/daybook/:chapter?': () => ({
    title: say('Daybook'),
    lead: say(
      'Counts of the same paddock year by year, the work that is due and when it still helps, plants without a name, and a copy of everything to be taken away.',
    ),
  }),
  '/plan': () => ({
    title: say('Plan a round'),
    lead: say(
      'Which paddock, which question, how near the answer has to be: from that the way of counting, how many stops it takes, where they lie and what to carry.',
    ),
  }),
  '/rounds/:id': () => ({
    title: say('Counting'),
    lead: say(
      'One key for each hit, one stop after another. Each count is kept on this device as it is typed, with signal or without, and goes out when there is some again.',
    ),
  }),
  '/rounds/:id/weigh-up/:chapter?': () => ({
    title: say('Weigh-up'),
    lead: say(
      'What was counted is put together: what the paddock is made of, how near that is, what in it can harm whom, what it is worth as feed, how long it lasts, and what to do next.',
    ),
  }),
  '/rounds/:id/hand-over': () => ({
    title: say('The pages'),
    lead: say(
      'Two pages for the client that answer what was asked, with every figure and how near it is; read them through, say who signs, and take the files along.',
    ),
  }),
}

/** What each place opens with, in the language that is spoken at the moment. */
export const openingWords = (): Record<string, OpeningWords> =>
  Object.fromEntries(Object.entries(openings).map(([path, words]) => [path, words()]))
