import { describe, expect, it } from 'vitest'
import { checkPassword, digestPassword, isPassword, nameKey } from '@/server/access/passwords.ts'

describe('a password', () => {
  it('is kept as argon2id with at least what OWASP asks for (Password Storage Cheat Sheet, 2023, from memory)', async () => {
    const digest = await digestPassword('wet gate and no gloves')
    const [, kind, , figures] = digest.split('$')
    const { m, t, p } = Object.fromEntries(figures!.split(',').map((f) => f.split('='))) as Record<string, string>
    expect(kind).toBe('argon2id')
    expect(Number(m)).toBeGreaterThanOrEqual(19 * 1024)
    expect(Number(t)).toBeGreaterThanOrEqual(2)
    expect(Number(p)).toBeGreaterThanOrEqual(1)
    expect(await digestPassword('wet gate and no gloves')).not.toBe(digest)
  })

  it('is known again however its letters are put together, and no other is', async () => {
    const digest = await digestPassword('Grasnarbe für März')
    expect(await isPassword(digest, 'Grasnarbe fu\u0308r Ma\u0308rz')).toBe(true)
    expect(await isPassword(digest, 'grasnarbe für märz')).toBe(false)
    expect(await isPassword(undefined, 'nobody has this password')).toBe(false)
  })

  it.each([
    ['short', 'elevenchars', /at least 12 characters/],
    ['endless', 'abcdefg'.repeat(40), /at most 200/],
    ['one letter over and over', 'aaaaaaaaaaaaab', /repeats too few/],
    ['the name in it', 'odile marrow 1999', /must not hold the name/],
  ])('is refused where it is %s', (_says, password, why) => {
    expect(() => checkPassword(password, 'Odile Marrow')).toThrow(why)
  })

  it('counts letters as people do, not as they are stored', () => {
    // Eleven letters, each of two code units.
    expect(() => checkPassword('🌱🌿🍀🌾🌱🌿🍀🌾🌵🌱🌿', 'Tam')).toThrow(/at least 12/)
    expect(() => checkPassword('🌱🌿🍀🌾🌱🌿🍀🌾🌵🌱🌿🍀', 'Tam')).not.toThrow()
  })

  it('names that differ in capitals or in how they are typed are one', () => {
    expect(nameKey('  ODILE Marrow ')).toBe(nameKey('Odile Marrow'))
    expect(nameKey('Zoe\u0308')).toBe(nameKey('Zoë'))
    expect(nameKey('Zoe')).not.toBe(nameKey('Zoë'))
  })
})
