interface Props {
  label: string
  /** Kinds of file that are offered, as for the input element. */
  accept: string
  onFile: (file: File) => void
}

/** A button that asks for one file. */
export function FileButton({ label, accept, onFile }: Props) {
  return (
    <label className="flex min-h-11 w-fit cursor-pointer items-center rounded-xl border border-rule px-3 focus-within:outline-3 focus-within:outline-culm">
      {label}
      <input
        type="file"
        accept={accept}
        className="sr-only"
        onChange={(e) => {
          const file = e.target.files?.[0]
          if (file) onFile(file)
          // The same file may be chosen again after it was mended.
          e.target.value = ''
        }}
      />
    </label>
  )
}
