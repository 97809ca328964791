import type { ReactNode } from 'react'
import type { VerdictCode } from '@/core/assess/harm/verdict.ts'
import type { FeedForm } from '@/core/flora/flora.ts'

/** One mark for each verdict, told apart by its shape and filling alone: full, ringed, flask, half, broken, dotted. */
const marks: Record<VerdictCode, ReactNode> = {
  'not-for-them': (
    <>
      <circle cx="16" cy="16" r="13" fill="var(--harm)" stroke="var(--harm)" strokeWidth="3" />
      <path d="M8 16 L24 16" stroke="var(--sheet)" strokeWidth="5" strokeLinecap="round" />
    </>
  ),
  'act-first': (
    <>
      <circle cx="16" cy="16" r="13" fill="var(--sheet)" stroke="var(--harm)" strokeWidth="4" />
      <path d="M16 8 L16 18 M16 22 L16 24" stroke="var(--harm)" strokeWidth="4" strokeLinecap="round" />
    </>
  ),
  'test-first': (
    <>
      <circle cx="16" cy="16" r="13" fill="var(--sheet)" stroke="var(--harm)" strokeWidth="2" />
      <path
        d="M13 7 L13 14 L9 23 C8.6 24.2 9.2 25 10.4 25 L21.6 25 C22.8 25 23.4 24.2 23 23 L19 14 L19 7 M11.5 7 L20.5 7"
        fill="url(#hatch-harm)"
        stroke="var(--harm)"
        strokeWidth="1.8"
      />
    </>
  ),
  lessened: (
    <>
      <circle cx="16" cy="16" r="13" fill="var(--sheet)" stroke="var(--harm)" strokeWidth="2" />
      <path d="M3 16 A13 13 0 0 0 29 16 Z" fill="url(#hatch-harm)" />
    </>
  ),
  'not-judged': (
    <>
      <circle cx="16" cy="16" r="13" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="2" strokeDasharray="5 4" />
      <path
        d="M12 12 C12 7 20 7 20 12 C20 15.5 16 15 16 19 M16 23 L16 23.5"
        fill="none"
        stroke="var(--ink)"
        strokeWidth="2.4"
        strokeLinecap="round"
      />
    </>
  ),
  'not-excluded': (
    <circle cx="16" cy="16" r="13" fill="none" stroke="var(--ink-soft)" strokeWidth="1.6" strokeDasharray="1.5 4" />
  ),
}

export const VerdictMark = ({ code, className = 'size-8' }: { code: VerdictCode; className?: string }) => (
  <svg viewBox="0 0 32 32" aria-hidden className={`shrink-0 ${className}`}>
    {marks[code]}
  </svg>
)

const forms: Record<FeedForm, ReactNode> = {
  standing: (
    <path d="M6 30 C10 20 8 12 6 6 M14 30 C14 20 15 10 18 4 M20 30 C21 20 25 14 30 10 M10 30 C8 24 6 20 3 17" />
  ),
  wilted: <path d="M6 30 C8 18 12 12 20 13 C24 14 26 18 26 22 M12 30 C13 22 17 18 24 20 M4 30 C4 22 6 17 11 15" />,
  hay: (
    <>
      <path d="M3 12 L23 8 L31 13 L31 25 L11 29 L3 24 Z M3 12 L11 17 L31 13 M11 17 L11 29" />
      <path d="M17 15.8 L17 27.8 M24 14.4 L24 26.4" />
    </>
  ),
  silage: (
    <>
      <circle cx="17" cy="18" r="12" />
      <path d="M17 18 C19 16 22 18 20 21 C17 25 11 22 12 16 C13 10 22 9 25 15" />
    </>
  ),
}

/** What stock meet a plant as: standing, cut and wilting, baled dry, wrapped. */
export const FormDrawing = ({ form, className = 'size-8' }: { form: FeedForm; className?: string }) => (
  <svg
    viewBox="0 0 34 34"
    aria-hidden
    fill="none"
    stroke="currentColor"
    strokeWidth="1.8"
    strokeLinecap="round"
    strokeLinejoin="round"
    className={className}
  >
    {forms[form]}
  </svg>
)
