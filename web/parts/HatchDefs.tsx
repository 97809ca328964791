import type { Group } from '@/core/records/taxon.ts'
import { groupColour, groupHatch } from './groupMarks.ts'

const dotted = new Set<string>(['legume', 'ground'])

/** The hatches, once for the page; bars fill with url(#hatch-…). */
export function HatchDefs() {
  return (
    <svg width="0" height="0" className="absolute" aria-hidden>
      <defs>
        {(Object.keys(groupHatch) as (Group | 'harm')[]).map((g) => (
          <pattern key={g} id={`hatch-${g}`} width="8" height="8" patternUnits="userSpaceOnUse">
            <rect width="8" height="8" fill={groupColour(g)} fillOpacity="0.22" />
            <path
              d={groupHatch[g]}
              stroke={groupColour(g)}
              strokeWidth={dotted.has(g) ? 3 : 1.7}
              strokeLinecap={dotted.has(g) ? 'round' : 'butt'}
              fill="none"
            />
          </pattern>
        ))}
      </defs>
    </svg>
  )
}

export function GroupMark({ group, className = 'size-5' }: { group: Group | 'harm'; className?: string }) {
  return (
    <svg viewBox="0 0 20 20" className={`shrink-0 ${className}`} aria-hidden>
      <rect
        x="1"
        y="1"
        width="18"
        height="18"
        rx="4"
        fill={`url(#hatch-${group})`}
        stroke={groupColour(group)}
        strokeWidth="1.6"
      />
    </svg>
  )
}
