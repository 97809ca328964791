import type { HazardAct, HazardGrade, HazardSays, HazardTest } from '@/core/assess/harm/hazards/hazard.ts'
import { say } from './say.ts'

/** How figures, days and plants are written where the words are read. */
export interface Tell {
  day: (iso: string) => string
  figure: (n: number) => string
  plant: (id: string) => string
}

type Values = Record<string, string>
type Words = Record<HazardSays['code'], (v: Values, raw: NonNullable<HazardSays['values']>) => string>

const bloatLevels: Record<string, () => string> = {
  1: () => say('there'),
  2: () => say('marked'),
  3: () => say('high'),
  4: () => say('very high'),
}
const level = (n: unknown): string => bloatLevels[String(n)]!()

const tetanySigns: Record<string, () => string> = {
  cool: () => say('cool weather'),
  lush: () => say('lush growth'),
  nitrogen: () => say('nitrogen dressed'),
  potash: () => say('potash dressed'),
  milking: () => say('stock in milk'),
  'little-legume': () => say('little legume'),
}
const laminitisSigns: Record<string, () => string> = {
  season: () => say('cool-season grass in spring or autumn'),
  frost: () => say('frost within the week'),
  heads: () => say('stems or heads'),
  drought: () => say('drought'),
}
const signs = (list: unknown, of: Record<string, () => string>): string =>
  String(list)
    .split(' ')
    .map((s) => of[s]!())
    .join(', ')

const words: Words = {
  'nitrate-ration': (v) =>
    say('At {{ppm}} ppm NO3-N at most {{low}} to {{high}} % of the dry matter of a day may be this feed (water and the rest of the ration counted).', v), // prettier-ignore
  'nitrate-ration-pregnant': (v) =>
    say('To stock in young at {{ppm}} ppm NO3-N at most {{low}} to {{high}} % of the dry matter of a day; 0 means none.', v), // prettier-ignore
  'nitrate-lowest-mark': (v) =>
    say('{{ppm}} ppm NO3-N lies under the lowest mark of the tables; the next cutting or field can hold more.', v),
  'nitrate-silage': (v) =>
    say('Ensiled, some {{low}} to {{high}} ppm of it may be left; test again before feeding.', v),
  'nitrate-drought': () => say('Drought holds growth up, and nitrate gathers in the lower stems.'),
  'nitrate-dressed': (v) => say('{{kg}} kg of nitrogen a hectare were dressed within six weeks.', v),
  'nitrate-frost': () => say('A frost within two weeks stops growth and lets nitrate stand.'),
  'nitrate-wait-rain': (v) => say('Plants take up nitrate at once after the rain that ends a drought: not before {{day}}.', v), // prettier-ignore
  'prussic-short': (v) => say('{{cm}} cm high: not before it stands {{least}} cm.', v),
  'prussic-not-measured': (v) => say('Its height was not given: not before it stands {{least}} cm.', v),
  'prussic-light-frost': (v) =>
    say('After a light frost new shoots hold most: not before they stand {{least}} cm, or a hard freeze has killed all.', v), // prettier-ignore
  'prussic-killing-frost': (v) => say('After a killing frost: not before {{day}}.', v),
  'prussic-frost-time': () => say('Nights can freeze in this month: not at night, and not on a morning after frost.'),
  'prussic-drought': () => say('Held up by drought: not before it grows again and stands high enough.'),
  'prussic-silage-from': (v) => say('As silage not before {{day}}.', v),
  'prussic-lab': (v, raw) =>
    raw.mark === 0
      ? say('{{ppm}} ppm prussic acid in dry matter, under the lower mark of {{low}}; a shoot after frost can hold much more.', v) // prettier-ignore
      : raw.mark === 1
        ? say('{{ppm}} ppm prussic acid in dry matter lies between the marks of {{low}} and {{high}}: only mixed with other feed, on the word of a veterinarian.', v) // prettier-ignore
        : say('{{ppm}} ppm prussic acid in dry matter lies above {{high}}: do not feed.', v),
  'endophyte-infected': (v) => say('{{x}} of {{n}} tillers held the fungus: {{low}} to {{high}} % of the stand.', v),
  'endophyte-not-tested': () => say('Tillers were not tested: anything from none to all of the fescue can hold it.'),
  'endophyte-diet': (v) =>
    say('Ergovaline of what is eaten: {{low}} to {{high}} ppb; trouble is told of from {{from}} to {{to}} ppb on.', v),
  'endophyte-gain': (v) => say('Gain lost a day and head: {{low}} to {{high}} g.', v),
  'endophyte-mares': () => say('Mares late in pregnancy: none of it, whatever the figure.'),
  'endophyte-renovate': () => say('So much of it is infected that sowing anew is usually reckoned worth it.'),
  'endophyte-dilute': () => say('Thinning it with a quarter to a third of legume is usual at this level.'),
  'ryegrass-staggers': () =>
    say('Ryegrass kept short in a dry late summer: staggers are possible, and no look tells which plant holds the fungus.'), // prettier-ignore
  'bloat-share': (v, raw) =>
    raw.from === raw.to
      ? say('{{low}} to {{high}} % of what is eaten are legumes that bloat: the danger is {{level}}.', { ...v, level: level(raw.from) }) // prettier-ignore
      : say('{{low}} to {{high}} % of what is eaten are legumes that bloat: the danger is {{level}} to {{level2}}.', { ...v, level: level(raw.from), level2: level(raw.to) }), // prettier-ignore
  'bloat-leafy': () => say('Leafy, before flowering: more of it.'),
  'bloat-wet': () => say('Wet when stock come to it: more of it.'),
  'bloat-frost': () => say('A frost within three days: more of it.'),
  'bloat-lowered': (v) => say('{{pct}} % are plants with tannin, which are told to lower it.', v),
  'oestrogen-diet': (v) => say('Formononetin of the diet: {{low}} to {{high}} % of dry matter; from {{from}} % on ewes are told to conceive worse.', v), // prettier-ignore
  'oestrogen-ewes-off': (v) => say('Breeding ewes elsewhere from {{first}} to {{last}}.', v),
  'oestrogen-joining-not-known': () =>
    say('The day on which rams go in was not given: breeding ewes elsewhere from six weeks before to three weeks after.'), // prettier-ignore
  'oestrogen-coumestans': (v) => say('{{ppm}} ppm coumestans; above {{from}} ppm fewer lambs are told of.', v),
  'ergot-heads': (v) =>
    say('{{x}} of {{n}} heads had bodies ({{low}} to {{high}} %), some {{weightLow}} to {{weightHigh}} % of the weight of seed; trouble is told of from {{from}} % on.', v), // prettier-ignore
  'ergot-lab': (v) => say('{{ppb}} ppb ergot alkaloids; trouble is told of from {{from}} ppb on.', v),
  'ergot-headed': () => say('The sward has headed: this is when bodies form.'),
  'ergot-not-looked': () => say('Heads were not looked through.'),
  'tetany-ratio': (v) =>
    say('Potassium over calcium and magnesium is {{ratio}} (in equivalents); above {{from}} tetany is told of.', v),
  'tetany-magnesium': (v) => say('Magnesium {{pct}} % of dry matter; under {{least}} % tetany is told of.', v),
  'tetany-signs': (_, raw) => say('Signs that are there: {{signs}}.', { signs: signs(raw.signs, tetanySigns) }),
  'laminitis-sugar': (v) =>
    say('Sugar and starch {{pct}} % of dry matter; horses that founder are kept under {{from}} to {{to}} %.', v),
  'laminitis-signs': (_, raw) => say('Signs that are there: {{signs}}.', { signs: signs(raw.signs, laminitisSigns) }),
  'sun-liver-share': (v) => say('{{plant}} {{low}} to {{high}} % of what is eaten; it was told of from about {{from}} % on, and less was not tried.', v), // prettier-ignore
  'sun-carriers': () => say('The plants are there; white-skinned stock burn first.'),
  'oxalate-diet': (v) =>
    say('Soluble oxalate of the diet: {{low}} to {{high}} % of dry matter if all is eaten alike; trouble is told of from about {{from}} % on, on a patch at much less of the whole.', v), // prettier-ignore
  'oxalate-calcium': (v) =>
    say('Calcium over oxalate {{ratio}}; under {{least}} horses are told to lose calcium from the bone.', v),
  'beetles-count': (v) =>
    say('{{low}} to {{high}} beetles hold what was reported to kill one horse, crushed in hay as well as alive.', v),
  'beetles-season': () => say('Cut while the beetles fly.'),
  'wrapped-acid': (v) => say('pH {{ph}} at {{dry}} % dry matter; to keep it must be at most {{most}}.', v),
  'wrapped-not-measured': () => say('Acidity and dry matter of wrapped feed were not measured.'),
  'wrapped-horses': () => say('Horses are the most at risk of botulism.'),
  'selenium-lab': (v) =>
    say('Selenium {{ppm}} ppm of dry matter; under {{low}} stock go short, above {{high}} it poisons over time.', v),
  'selenium-gatherers': () => say('Plants that can gather it were met.'),
  'selenium-not-tested': () => say('Not tested.'),
  'copper-ratio': (v) =>
    say('Copper over molybdenum {{ratio}}; above {{most}} it builds up in sheep, under {{least}} cattle go short.', v),
  'copper-level': (v) => say('Copper {{ppm}} ppm of dry matter; from {{from}} ppm on sheep are told to be poisoned.', v), // prettier-ignore
  'copper-not-tested': () => say('Not tested.'),
  carried: () => say('The plants that carry it are there.'),
}

const DAYS = new Set(['day', 'first', 'last'])

/** One sentence of a danger with its figures. */
export function hazardSaysWords({ code, values = {} }: HazardSays, tell: Tell): string {
  const written = Object.entries(values).map(([name, value]): [string, string] => [
    name,
    DAYS.has(name) ? tell.day(String(value)) : name === 'plant' ? tell.plant(String(value)) : typeof value === 'number' ? tell.figure(value) : value, // prettier-ignore
  ])
  return words[code](Object.fromEntries(written), values)
}

const grades: Record<HazardGrade, () => string> = {
  act: () => say('act on it'),
  raised: () => say('more likely than usual'),
  open: () => say('not told by looking'),
}
export const hazardGradeWords = (grade: HazardGrade): string => grades[grade]()

const tests: Record<HazardTest, () => string> = {
  'nitrate-stems': () =>
    say('nitrate: 15 to 20 plants, the lowest third of the stems, dried or sent the same day, unit and salt asked for'),
  'nitrate-water': () => say('nitrate of the drinking water'),
  'fresh-leaf-cyanide': () => say('prussic acid: fresh leaf of the youngest shoots, kept cold, sent the same day'),
  'thirty-tillers': () => say('endophyte: 30 tillers cut at the ground over the whole field, kept cool'),
  isoflavones: () => say('isoflavones: leaf of the clover, kept cold'),
  coumestans: () => say('coumestans: alfalfa or clover with spotted leaves'),
  'fifty-heads': () => say('ergot: 50 heads looked through, over the whole field'),
  'ergot-alkaloids': () => say('ergot alkaloids: heads or hay'),
  'minerals-k-ca-mg': () => say('potassium, calcium and magnesium: leaf as it is grazed'),
  sugars: () => say('water-soluble sugar and starch: core sample of the hay, or grass cut at the hour it is grazed'),
  'liver-enzymes': () => say('liver enzymes of the blood, by a veterinarian'),
  'oxalate-and-calcium': () => say('oxalate and calcium: leaf as it is grazed'),
  'beetles-in-flakes': () => say('blister beetles: flakes of several bales shaken out over a sheet'),
  'acidity-and-dry-matter': () => say('acidity (pH), dry matter and ash: core sample of the wrapped bale'),
  selenium: () => say('selenium: forage, and blood by a veterinarian'),
  'copper-molybdenum': () => say('copper and molybdenum: forage'),
  dicoumarol: () => say('dicoumarol of hay that is mouldy or has heated'),
}
/** What is sent, and how it is taken. */
export const hazardTestWords = (test: HazardTest): string => tests[test]()

const acts: Record<HazardAct, () => string> = {
  'none-until-result': () => say('none of it fed before the result'),
  'not-hungry': () => say('no hungry stock onto it'),
  'dilute-by-the-figure': () => say('mixed with other feed by the figure above, the whole ration reckoned'),
  'graze-tops': () => say('tops grazed only, the lower stems left'),
  'not-below-height': () => say('not below its height, and stock off before they graze it down'),
  'not-on-frosty-nights': () => say('not on nights and mornings with frost'),
  'wait-until': () => say('stock off until then'),
  'mares-off-fescue': () => say('mares in foal off it for their last three months; ask a veterinarian'),
  'add-legume': () => say('legume added'),
  renovate: () => say('sown anew with seed tested for it'),
  'watch-staggers': () => say('stock off at the first trembling or stumbling, away from water and steep ground'),
  'hay-first': () => say('long hay first'),
  'never-off-and-on': () => say('not off and on by the day: once on, left on, and looked at twice a day'),
  'ask-poloxalene': () => say('ask a veterinarian about poloxalene, given some days before'),
  'ewes-off': () => say('breeding ewes elsewhere about mating'),
  'top-heads': () => say('heads topped before they ripen'),
  'no-hay-of-heads': () => say('no hay of heads with bodies'),
  'give-magnesium': () => say('magnesium each day from two weeks before: some 30 g to a cow, 3 g to a ewe; ask a veterinarian'), // prettier-ignore
  'sugar-hours': () => say('horses that founder off it or muzzled; never in sun after a cold night'),
  'soak-hay': () => say('hay for them by the laboratory, or soaked and the water thrown away'),
  'shade-and-off': () => say('off the plants and into shade at the first burnt skin'),
  calcium: () => say('calcium for horses on the word of a veterinarian'),
  'cut-before-bloom': () => say('hay for horses cut before bloom'),
  'no-conditioner': () => say('no conditioner over a swarm'),
  'no-wrapped-to-horses': () => say('no wrapped feed to horses before a veterinarian was asked'),
  'no-opened-bale': () => say('nothing of a bale that leaks, smells, or was open for days'),
  'no-guess-dosing': () => say('nothing dosed by guess'),
  'no-mouldy-hay': () => say('no mouldy hay of it'),
  'keep-skin-covered': () => say('skin and eyes covered, washed at once'),
  'before-flowering': () => say('cut or pulled before it flowers'),
}
export const hazardActWords = (act: HazardAct): string => acts[act]()
