import 'reflect-metadata'

import { IsBoolean, IsDateString, IsIn, IsISO8601, IsOptional, IsUUID, Matches } from 'class-validator'
import { practiceKinds, type PracticeAnswer, type PracticeKind } from '@/core/practice/answer.ts'
import { ListOf, Named, Nested, Num, Text } from './decorators.ts'

class MeasuredInput {
  @Num(0, 1000) truth!: number
  @Num(0, 1000) said!: number
}

class AnswerInput implements PracticeAnswer {
  @IsUUID() id!: string
  @IsIn(practiceKinds) kind!: PracticeKind
  @Named(200) about!: string
  @Text(200) answered!: string
  @IsBoolean() right!: boolean
  @Num(0, 1) sure!: number
  @Num(0, 86_400) seconds!: number
  @IsISO8601({ strict: true }) @Matches(/T.*Z$/, { message: 'at must be a time in UTC' }) at!: string
  @IsOptional() @Nested(() => MeasuredInput) measured?: MeasuredInput
}

export class AnswersInput {
  @ListOf(() => AnswerInput, 500, 1)
  answers!: AnswerInput[]
}

export class NamingCheckInput {
  @IsDateString({ strict: true })
  @Matches(/^\d{4}-\d{2}-\d{2}$/, { message: 'checkedOn must be a day' })
  checkedOn!: string
  @Named(100) was!: string
  @Text(2000) note!: string
}
