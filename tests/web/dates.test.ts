import { afterEach, describe, expect, it, vi } from 'vitest'

/** The modules as a device with these languages loads them, with what was chosen on it. */
async function deviceReading(languages: string[], chosen: string | null = null) {
  vi.resetModules()
  vi.stubGlobal('navigator', { languages })
  vi.stubGlobal('localStorage', { getItem: () => chosen, setItem: () => undefined })
  const { chosenLanguage, localeFor } = await import('@/web/language/languages.ts')
  await (await import('@/web/language/say.ts')).readLanguage(chosenLanguage())
  return {
    language: chosenLanguage(),
    locale: localeFor(chosenLanguage()),
    ...(await import('@/web/language/dates.ts')),
    ...(await import('@/web/language/numbers.ts')),
  }
}
afterEach(() => {
  vi.unstubAllGlobals()
  vi.useRealTimers()
})

describe('the language of a device', () => {
  it.each([
    [['en-GB'], null, 'en', 'en-GB'],
    [['de-AT', 'en'], null, 'de', 'de-AT'],
    [['fr-FR', 'de-CH', 'en'], null, 'de', 'de-CH'],
    [['fr-FR'], null, 'en', 'en'],
    [[], null, 'en', 'en'],
    [['de-DE'], 'en', 'en', 'en'],
    [['en-US'], 'de', 'de', 'de'],
    [['de-DE'], 'klingon', 'de', 'de-DE'],
  ])('that reads %j and chose %s is %s, written as in %s', async (read, chosen, language, locale) => {
    expect(await deviceReading(read, chosen)).toMatchObject({ language, locale })
  })

  it('is still told where the browser keeps nothing', async () => {
    vi.resetModules()
    vi.stubGlobal('navigator', { languages: ['de-DE'] })
    vi.stubGlobal('localStorage', {
      getItem: () => {
        throw new DOMException('denied')
      },
    })
    expect((await import('@/web/language/languages.ts')).chosenLanguage()).toBe('de')
  })
})

describe('dates', () => {
  // Unicode CLDR, long dates of these locales.
  it.each([
    [['en-GB'], '1 May 2027', /^Saturday,? 1 May 2027$/, 'May 2027'],
    [['en-IE'], '1 May 2027', /^Saturday,? 1 May 2027$/, 'May 2027'],
    [['en-US'], 'May 1, 2027', /^Saturday, May 1, 2027$/, 'May 2027'],
    [['de-DE'], '1. Mai 2027', /^Samstag, 1\. Mai 2027$/, 'Mai 2027'],
    [['de-CH'], '1. Mai 2027', /^Samstag, 1\. Mai 2027$/, 'Mai 2027'],
  ])('are written as %j writes them', async (read, day, weekday, month) => {
    const { dayWords, weekdayWords, monthWords } = await deviceReading(read)
    expect(dayWords('2027-05-01')).toBe(day)
    expect(weekdayWords('2027-05-01')).toMatch(weekday)
    expect(monthWords('2027-05-01')).toBe(month)
  })

  // The browser's own calendar is the outside reading.
  it.each(['en-GB', 'en-US', 'en', 'en-AU', 'en-NZ', 'en-IE', 'en-CA', 'de-DE', 'de-AT', 'de-CH'])(
    'and hours read as those of Intl in %s, in every month',
    async (tag) => {
      const { dayWords, momentWords, timeWords } = await deviceReading([tag])
      const intl = (options: Intl.DateTimeFormatOptions, iso: string) =>
        new Intl.DateTimeFormat(tag, options).format(new Date(iso)).replaceAll('\u202f', ' ')
      const day = { day: 'numeric', month: 'long', year: 'numeric' } as const
      const time = { hour: '2-digit', minute: '2-digit' } as const
      for (let month = 0; month < 12; month++) {
        const iso = `2027-${String(month + 1).padStart(2, '0')}-09T${month % 2 ? '00:05' : '14:30'}:00`
        expect(dayWords(iso)).toBe(intl(day, iso))
        expect(timeWords(iso)).toBe(intl(time, iso))
        expect(momentWords(iso)).toBe(intl({ ...day, ...time }, iso))
      }
    },
  )

  it('are kept in one form, by the clock of the device', async () => {
    const { isoDay, today } = await deviceReading(['de-DE'])
    expect(isoDay(new Date(2027, 0, 9, 23, 59))).toBe('2027-01-09')
    vi.useFakeTimers()
    vi.setSystemTime(new Date(2028, 1, 29, 0, 1))
    expect(today()).toBe('2028-02-29')
  })

  it('say how far ahead something lies', async () => {
    vi.useFakeTimers()
    vi.setSystemTime(new Date(2027, 4, 1, 12))
    const inThree = new Date(2027, 4, 4, 12)
    expect((await deviceReading(['en-GB'])).aheadWords(inThree)).toBe('in 3 days')
    expect((await deviceReading(['de-DE'])).aheadWords(inThree)).toBe('in 3 Tagen')
  })
})

describe('figures', () => {
  it('have the comma of German and the point of English, and as many decimals as are asked for', async () => {
    const german = await deviceReading(['de-DE'])
    expect([german.fixed(4, 1), german.fixed(0.126, 2), german.atMost(5.5, 2), german.atMost(5, 2)]).toEqual(['4,0', '0,13', '5,5', '5']) // prettier-ignore
    const english = await deviceReading(['en-GB'])
    expect([english.fixed(4, 1), english.fixed(-0.05, 1), english.atMost(2.25, 1)]).toEqual(['4.0', '-0.1', '2.3'])
    expect(english.fixed(undefined, 2)).toBeUndefined()
  })

  it('set thousands apart as the reader is used to', async () => {
    expect((await deviceReading(['en-GB'])).wholeWords(1_234_567.4)).toBe('1,234,567')
    expect((await deviceReading(['de-DE'])).wholeWords(1_234_567.4)).toBe('1.234.567')
  })
})
