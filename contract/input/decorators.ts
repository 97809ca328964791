import { Type } from 'class-transformer'
import { ArrayMaxSize, ArrayMinSize, IsArray, IsDateString, IsInt, IsNotEmpty, IsNumber, IsObject, IsString, Matches, Max, MaxLength, Min, ValidateNested } from 'class-validator' // prettier-ignore

/** Several checks of one field as one. */
const all =
  (...checks: PropertyDecorator[]): PropertyDecorator =>
  (target, field) =>
    checks.forEach((check) => check(target, field))

const finite = { allowNaN: false, allowInfinity: false }

/** A finite number from `low` to `high`, both of them allowed. */
export const Num = (low: number, high: number) => all(IsNumber(finite), Min(low), Max(high))

/** A whole number from `low` to `high`, both of them allowed. */
export const Whole = (low: number, high: number) => all(IsInt(), Min(low), Max(high))

/** A text of at most so many characters; none at all is a text too. */
export const Text = (longest: number) => all(IsString(), MaxLength(longest))

/** A text that says something. */
export const Named = (longest: number) => all(IsString(), IsNotEmpty(), MaxLength(longest))

/** A day that there is, as year-month-day. */
export const Day = () => all(IsDateString({ strict: true }), Matches(/^\d{4}-\d{2}-\d{2}$/))

type Kind = () => new () => object

/** A record of its own, checked by its class. */
export const Nested = (kind: Kind) => all(IsObject(), ValidateNested(), Type(kind))

/** A list of records, each checked by its class. */
export const ListOf = (kind: Kind, most: number, least = 0) =>
  all(
    IsArray(),
    ...(least > 0 ? [ArrayMinSize(least)] : []),
    ArrayMaxSize(most),
    IsObject({ each: true }),
    ValidateNested({ each: true }),
    Type(kind),
  )

/** A list of texts. */
export const Texts = (most: number, longest?: number) =>
  all(
    IsArray(),
    ArrayMaxSize(most),
    IsString({ each: true }),
    ...(longest === undefined ? [] : [MaxLength(longest, { each: true })]),
  )
