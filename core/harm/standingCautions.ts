/** Cautions that stand wherever a decision about harm is made. */
export const standingCautions = [
  'This is not a veterinary, medical or legal service. If poisoning is suspected, call a veterinarian or a poison centre at once and keep a sample of the plant.',
  'Wild plants are not food on the word of this page.',
  'Wear gloves and sleeves when handling plants that may harm.',
  'Treat only under the product label and local law, by a licensed applicator where the law asks for one. Duties on noxious weeds are local.',
] as const
