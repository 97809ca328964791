import { OutlookPanel } from '../../entities/round/OutlookPanel.tsx'
import { say } from '../../language/say.ts'
import type { Chapter, ChapterId } from './chapter.ts'
import { Acts, Plan } from './do/ActPanel.tsx'
import { GroundPanel, LawAndPrices } from './ground/GroundPanel.tsx'
import { HarmPanel } from './harm/HarmPanel.tsx'
import { HazardList } from './unseen/HazardList.tsx'
import { KnownOfTheDay } from './unseen/KnownOfTheDay.tsx'
import { LookedFor } from './harm/LookedFor.tsx'
import { TurfPanel, TurfUsed } from './kept/TurfPanel.tsx'
import { Counted, Shares } from './made-of/CountedHere.tsx'
import { AgainstMarks } from './says/AgainstMarks.tsx'
import { SaysPanel } from './says/SaysPanel.tsx'
import { SitePanel } from './sow/SitePanel.tsx'
import { SowPanel } from './sow/SowPanel.tsx'
import { Herd, HerdPanel } from './stock/HerdPanel.tsx'
import { FeedPanel } from './worth/FeedPanel.tsx'
import { PlantByPlant } from './worth/PlantByPlant.tsx'
import { PlaceOfYear, SeasonPanel } from './year/SeasonPanel.tsx'

/** Each chapter with its ground. */
export const chapters: Record<ChapterId, Chapter> = {
  'made-of': { Ground: Counted, Follows: Shares },
  says: { Ground: AgainstMarks, Follows: SaysPanel, Beside: OutlookPanel },
  harm: { Ground: LookedFor, Follows: HarmPanel },
  unseen: { Ground: KnownOfTheDay, Follows: HazardList },
  do: { Ground: Plan, Follows: Acts },
  worth: { Ground: PlantByPlant, Follows: FeedPanel },
  stock: { Ground: Herd, Follows: HerdPanel },
  sow: { Ground: SitePanel, Follows: SowPanel },
  ground: { Ground: LawAndPrices, Follows: GroundPanel },
  kept: { Ground: TurfUsed, Follows: TurfPanel },
  year: { Ground: PlaceOfYear, Follows: SeasonPanel },
}

/** What a chapter is called, and what its ground is. */
export const chapterWords: Record<ChapterId, () => { name: string; ground: string }> = {
  'made-of': () => ({ name: say('Made of'), ground: say('What was counted') }),
  says: () => ({ name: say('Says'), ground: say('Figures against their marks') }),
  harm: () => ({ name: say('Harm'), ground: say('What was looked for') }),
  unseen: () => ({ name: say('Unseen'), ground: say('What is known of the day') }),
  do: () => ({ name: say('Do'), ground: say('The year of the work') }),
  worth: () => ({ name: say('Worth'), ground: say('Plant by plant') }),
  stock: () => ({ name: say('Stock'), ground: say('The herd and what stands') }),
  sow: () => ({ name: say('Sow'), ground: say('The place') }),
  ground: () => ({ name: say('Ground'), ground: say('Law and prices') }),
  kept: () => ({ name: say('Kept'), ground: say('Where it is worn') }),
  year: () => ({ name: say('Year'), ground: say('The place') }),
}
