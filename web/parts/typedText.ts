/** What was typed into a field of a form, without spaces at its ends. */
export function typedText(data: FormData, name: string): string {
  const value = data.get(name)
  return typeof value === 'string' ? value.trim() : ''
}
