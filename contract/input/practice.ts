import 'reflect-metadata'
import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsDateString,
  IsIn,
  IsISO8601,
  IsNotEmpty,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  IsUUID,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator'
import { practiceKinds, type PracticeAnswer, type PracticeKind } from '@/core/practice/answer.ts'

const number = { allowNaN: false, allowInfinity: false }

class MeasuredInput {
  @IsNumber(number) @Min(0) @Max(1000) truth!: number
  @IsNumber(number) @Min(0) @Max(1000) said!: number
}

class AnswerInput implements PracticeAnswer {
  @IsUUID() id!: string
  @IsIn(practiceKinds) kind!: PracticeKind
  @IsString() @IsNotEmpty() @MaxLength(200) about!: string
  @IsString() @MaxLength(200) answered!: string
  @IsBoolean() right!: boolean
  @IsNumber(number) @Min(0) @Max(1) sure!: number
  @IsNumber(number) @Min(0) @Max(86_400) seconds!: number
  @IsISO8601({ strict: true }) @Matches(/T.*Z$/, { message: 'at must be a time in UTC' }) at!: string
  @IsOptional() @IsObject() @ValidateNested() @Type(() => MeasuredInput) measured?: MeasuredInput
}

export class AnswersInput {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(500)
  @IsObject({ each: true })
  @ValidateNested({ each: true })
  @Type(() => AnswerInput)
  answers!: AnswerInput[]
}

export class NamingCheckInput {
  @IsDateString({ strict: true })
  @Matches(/^\d{4}-\d{2}-\d{2}$/, { message: 'checkedOn must be a day' })
  checkedOn!: string
  @IsString() @IsNotEmpty() @MaxLength(100) was!: string
  @IsString() @MaxLength(2000) note!: string
}
