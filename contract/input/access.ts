import { told } from '../told.ts'
import { IsBoolean, IsIn, IsInt, IsString, IsUUID, Max, MaxLength, Min, MinLength } from 'class-validator'
import { accountRoles, LONGEST_PASSWORD, type AccountRole } from '../accounts.ts'
import { Text } from './decorators.ts'

const ROLES = told('An account is an advisor\'s or a trainee\'s.') // prettier-ignore

export class SignInInput {
  @IsString() @MinLength(1, { message: told('Type your name.') }) @MaxLength(100) name!: string
  @IsString() @MinLength(1, { message: told('Type your password.') }) @MaxLength(LONGEST_PASSWORD * 2) password!: string
}

export class NewAccountInput {
  @Text(100) name!: string
  @IsIn(accountRoles, { message: ROLES }) role!: AccountRole
  @Text(LONGEST_PASSWORD * 2) password!: string
}

export class AccountInput {
  @IsIn(accountRoles, { message: ROLES }) role!: AccountRole
  @IsBoolean() closed!: boolean
}

export class PasswordInput {
  @Text(LONGEST_PASSWORD * 2) password!: string
}

export class OwnPasswordInput extends PasswordInput {
  @Text(LONGEST_PASSWORD * 2) now!: string
}

export class LinkInput {
  @IsUUID() id!: string
  @IsUUID() roundId!: string
  @IsInt({ message: told('A link opens for a whole number of days.') })
  @Min(1, { message: told('A link opens for at least a day.') })
  @Max(365, { message: told('A link opens for at most a year.') })
  days!: number
}
