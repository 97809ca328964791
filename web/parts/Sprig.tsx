/** The sign of the house: a folded sprig. */
export function Sprig({ className }: { className: string }) {
  return (
    <svg viewBox="0 0 32 32" className={className} aria-hidden>
      <path d="M16 31C15 22 15 14 16 4" className="fill-none stroke-culm" strokeWidth="2.4" strokeLinecap="round" />
      <path d="M16 20C7 20 3 14 3 6c8 0 13 5 13 14Z" className="fill-culm" />
      <path d="M16 20c9 0 13-6 13-14-8 0-13 5-13 14Z" className="fill-husk stroke-culm" strokeWidth="1.6" />
    </svg>
  )
}
