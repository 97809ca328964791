import type { Command } from '@/contract/commands.ts'
import { letterWords } from './taxonNames.ts'
import { say } from './say.ts'

type Worded = { [D in Command['do']]: (command: Extract<Command, { do: D }>) => string }

const words: Worded = {
  'plan-round': (c) => say('plan the round {{title}}', { title: c.round.title }),
  'save-stop': (c) => say('write down stop {{seq}} of a round', { seq: c.seq }),
  'name-letter': (c) => say('name unknown {{letter}} of a round', { letter: letterWords(c.letter) }),
  'write-naming': (c) => say('write down a name: {{plant}}', { plant: c.naming.plant.replaceAll('-', ' ') }),
  'keep-unknown': (c) => say('keep an unknown plant from {{place}}', { place: c.unknown.place }),
  'add-holding': (c) => say('add the holding {{name}}', { name: c.holding.name }),
  'save-holding': (c) => say('rename a holding to {{name}}', { name: c.holding.name }),
  'add-paddock': (c) => say('add the paddock {{name}}', { name: c.paddock.name }),
  'save-paddock': (c) => say('change the paddock {{name}}', { name: c.paddock.name }),
  'save-event': () => say('write into the history of a paddock'),
  'delete-event': () => say('take something out of the history of a paddock'),
  'save-plan-item': (c) => say('put into the plan: {{text}}', { text: c.item.text }),
  'delete-plan-item': () => say('take something out of the plan'),
  'keep-apart': () => say('say something of stock, samples or a sowing'),
  'drop-apart': () => say('take away something said of stock, samples or a sowing'),
  'sign-page': (c) => say('sign issue {{issue}} of the pages of a round', { issue: c.signed.issue }),
  'keep-answers': () => say('keep answers of practice'),
  'check-naming': () => say('check a name in flower'),
  'drop-check': () => say('take back a check in flower'),
  request: (c) => `${c.method} ${c.url}`,
}

/** What a command does, in words. */
export const commandWords = (command: Command): string => words[command.do](command as never)
