/**
 * Genera with poisonous kinds that this book does not describe, or only in part: trees, hedge, garden and field edge. A name of
 * one of them in a list of plants is never passed over. Which kind of a genus harms, and how much of it, is not said here.
 * Kingsbury 1964, Burrows & Tyrl, Cooper & Johnson; from memory.
 */
export const poisonousGenera: ReadonlySet<string> = new Set(
  `Acer Aconitum Acroptilon Actaea Adonis Aesculus Ageratina Agrostemma Allium Amaranthus Amaryllis Amsinckia Anagallis Anemone Apocynum Arisaema Arnica Artemisia
  Arum Asclepias Astragalus Atropa Baccharis Baptisia Bassia Berteroa Brassica Bryonia Buxus Caltha Cannabis Cassia Celastrus Centaurea
  Cephalanthus Cestrum Chelidonium Chenopodium Cicuta Clematis Colchicum Conium Consolida Convallaria Cornus Corydalis Coronilla
  Crotalaria Cuscuta Cycas Cynoglossum Cytisus Daphne Datura Delphinium Descurainia Dicentra Digitalis Dioscorea Drymaria Echium
  Equisetum Erysimum Eupatorium Euonymus Euphorbia Fagus Frangula Galanthus Galega Gelsemium Glechoma Gutierrezia Gymnocladus
  Haplopappus Halogeton Hedera Helenium Heliotropium Helleborus Heracleum Hyacinthoides Hyacinthus Hymenoxys Hyoscyamus Hypericum Hypochaeris
  Ilex Indigofera Ipomoea Iris Isocoma Jacobaea Juglans Kalmia Karwinskia Kochia Laburnum Lantana Lathyrus Ledum Leucothoe Ligustrum Linum
  Lobelia Lonicera Lupinus Lycium Malva Melia Melilotus Menispermum Mercurialis Narcissus Nerium Nicotiana Nothoscordum Oenanthe
  Onoclea Ornithogalum Oxytropis Papaver Parthenocissus Pastinaca Perilla Persea Phoradendron Physalis Phytolacca Pieris Pinus Podophyllum
  Prunus Pteridium Quercus Ranunculus Rhamnus Rhaponticum Rheum Rhododendron Ricinus Robinia Rumex Salvia Sambucus Sanguinaria Saponaria Sarcobatus
  Scilla Senecio Senna Sesbania Solanum Sophora Sorghum Symphytum Symplocarpus Tanacetum Taxus Tetradymia Thermopsis Thlaspi Thuja
  Toxicodendron Toxicoscordion Tribulus Triglochin Tulipa Urginea Veratrum Vicia Vinca Viscum Wisteria Xanthium Zamia Zigadenus`
    .split(/\s+/)
    .map((genus) => genus.toLowerCase()),
)

/** Whether a scientific name is of such a genus. */
export const isOfPoisonousGenus = (name: string): boolean =>
  poisonousGenera.has(name.trim().split(/\s+/)[0]?.toLowerCase() ?? '')
