import { say } from './say.ts'

/** Fields of the records that two people may change, in words. */
const words: Record<string, () => string> = {
  name: () => say('Name'),
  client: () => say('Client'),
  boundary: () => say('Boundary'),
  region: () => say('Region'),
  outlook: () => say('Read as'),
  sown: () => say('Sown list'),
  strata: () => say('Parts'),
  note: () => say('Notes'),
  kind: () => say('What was done'),
  onDate: () => say('Day'),
  detail: () => say('Amounts'),
  text: () => say('To do'),
  owner: () => say('By whom'),
  dueOn: () => say('Due on'),
  backOn: () => say('Look again on'),
  lookFor: () => say('What to look for'),
  doneOn: () => say('Done on'),
  outcome: () => say('What came of it'),
  plant: () => say('Plant'),
  place: () => say('Place'),
  context: () => say('Place and season of the plant'),
  observations: () => say('What was seen of it'),
  opinion: () => say('Second opinion'),
  namedAs: () => say('Name given'),
  checkedOn: () => say('Looked at on'),
  was: () => say('What it was'),
  animal: () => say('Stock'),
  count: () => say('Head'),
  wantedDays: () => say('Days wanted'),
  sample: () => say('Sample'),
  nitrateNPpm: () => say('Nitrate, NO3-N'),
  checks: () => say('Checks'),
  runners: () => say('Runners pulled'),
}

/** Another field by its own name, its words parted. */
const parted = (field: string): string => field.replace(/([A-Z])/g, ' $1').toLowerCase()

export const fieldWords = (field: string): string => words[field]?.() ?? parted(field)
