import 'reflect-metadata'

import { IsBoolean, IsIn, IsObject, IsOptional, IsString, IsUUID, ValidateIf } from 'class-validator'
import { regions, type Region } from '@/core/flora/flora.ts'
import { eventKinds, type EventKind } from '@/core/records/paddockEvent.ts'
import { outlooks, partKinds, type Outlook, type PartKind } from '@/core/records/round.ts'
import { Day, ListOf, Named, Nested, Num, Text, Texts } from './decorators.ts'

class PartInput {
  @Named(200) name!: string
  @IsIn(partKinds) kind!: PartKind
  @IsObject({ message: 'polygon must be GeoJSON' }) polygon!: object
  @IsBoolean() keptOut!: boolean
}

export class PaddockInput {
  @IsUUID() id!: string
  @IsUUID() holdingId!: string
  @Named(200) name!: string
  /** Null where only a table of the paddock is known. */
  @ValidateIf((p: PaddockInput) => p.boundary !== null)
  @IsObject({ message: 'boundary must be GeoJSON' })
  boundary!: object | null
  @IsIn(regions) region!: Region
  @IsIn(outlooks) outlook!: Outlook
  @IsOptional() @Texts(100) sown?: string[]
  @IsOptional()
  @ListOf(() => PartInput, 50)
  strata?: PartInput[]
  @IsOptional() @Text(5000) note?: string
}

class SownPartInput {
  @IsString() plant!: string
  @Num(0.01, 1000) kgPerHa!: number
  @Num(0.01, 1) pls!: number
}

class DetailInput {
  @IsOptional()
  @ListOf(() => SownPartInput, 50)
  sown?: SownPartInput[]
  @IsOptional() @Text(300) amount?: string
}

export class EventInput {
  @IsIn(eventKinds) kind!: EventKind
  @Day() onDate!: string
  @Text(2000) note!: string
  @Nested(() => DetailInput) detail!: DetailInput
}
