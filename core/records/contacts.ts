/** Who stands behind the pages of a holding, whom its people call, and what law of the place names. What is left out is printed as a line to fill in. */
export interface Contacts {
  advisor?: string
  /** Training or licence, in the advisor's words. */
  credentials?: string
  advisorPhone?: string
  vet?: string
  vetPhone?: string
  /** Plants that law names noxious in this place, by any name, a comma or line between them. */
  noxious?: string
  /** Poison information line for people or for animals. */
  poisonLine?: string
}
