interface Props {
  id: string
  title: string
  options: readonly { value: string; says: string; lang?: string }[]
  chosen: string
  onChoose: (value: string) => void
  note: string
}

/** Something that holds for this device: one of a few, chosen by a press. */
export function DeviceChoice({ id, title, options, chosen, onChoose, note }: Props) {
  return (
    <section aria-labelledby={id} className="mt-8 border-t border-rule pt-4">
      <h2 id={id} className="text-xl">
        {title}
      </h2>
      <div role="group" aria-labelledby={id} className="mt-2 flex flex-wrap gap-2">
        {options.map((o) => (
          <button
            key={o.value}
            type="button"
            lang={o.lang}
            aria-pressed={o.value === chosen}
            onClick={() => onChoose(o.value)}
            className="min-h-12 rounded-xl border border-rule px-4 aria-pressed:border-culm aria-pressed:bg-culm/15 aria-pressed:font-semibold"
          >
            {o.says}
          </button>
        ))}
      </div>
      <p className="mt-1 text-ink-soft">{note}</p>
    </section>
  )
}
