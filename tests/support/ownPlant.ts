/** A made grass that nothing else looks like. */
const yaml = `id: made-grass
common_name: Made grass
scientific_name: Factitia prima
author: ''
family: Poaceae
form: grass
cycle: perennial
season: cool
role: forage
regions: {transition: common}
months: [4, 5]
ground: [dry]
characters:
  smell: mousy-rank
  base.form: bead-string
  blade.tip: boat
  ligule.type: hairs
sources: [own observation]
`

export const ownPlantText = () => ({ id: 'made-grass', yaml })
