import { told } from '../told.ts'
import 'reflect-metadata'
import { IsDateString, IsNotEmpty, IsOptional, IsString, IsUUID, Matches, MaxLength } from 'class-validator'
import { Text } from './decorators.ts'

const DAY = /^\d{4}-\d{2}-\d{2}$/

export class PlanItemInput {
  @IsUUID() paddockId!: string
  @IsOptional() @IsUUID() roundId?: string | null
  @IsOptional() @Text(100) plant?: string | null
  @IsString() @IsNotEmpty({ message: told('Write what is to be done.') }) @MaxLength(1000) text!: string
  @Text(200) owner!: string
  @IsDateString({ strict: true }) @Matches(DAY, { message: 'dueOn must be a day' }) dueOn!: string
  @IsOptional() @IsDateString({ strict: true }) @Matches(DAY, { message: 'backOn must be a day' }) backOn?:
    string | null
  @Text(1000) lookFor!: string
  @IsOptional() @IsDateString({ strict: true }) @Matches(DAY, { message: 'doneOn must be a day' }) doneOn?:
    string | null
  @Text(2000) outcome!: string
}
