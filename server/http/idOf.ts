import { told } from '@/contract/told.ts'
import { isUUID } from 'class-validator'
import { badRequest } from './httpError.ts'

/**
 * An id out of an address.
 *
 * @throws HttpError 400 where it is none
 */
export function idOf(value: string, field: string): string {
  if (!isUUID(value)) throw badRequest(told('An id has to be a UUID.'), field)
  return value
}
