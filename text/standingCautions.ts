import { say } from './say.ts'

/** Cautions that stand wherever a decision about harm is made. */
export const standingCautions = () => [
  say(
    'This is not a veterinary, medical or legal service. If poisoning is suspected, call a veterinarian or a poison centre at once and keep a sample of the plant.',
  ),
  say('Wild plants are not food on the word of this page.'),
  say('Wear gloves and sleeves when handling plants that may harm.'),
  say(
    'Treat only under the product label and local law, by a licensed applicator where the law asks for one. Duties on noxious weeds are local.',
  ),
]
