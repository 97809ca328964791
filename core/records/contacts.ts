/** Who stands behind the pages of a holding, and whom its people call. What is left out is printed as a line to fill in. */
export interface Contacts {
  advisor?: string
  /** Training or licence, in the advisor's words. */
  credentials?: string
  advisorPhone?: string
  vet?: string
  vetPhone?: string
  /** Poison information line for people or for animals. */
  poisonLine?: string
}
