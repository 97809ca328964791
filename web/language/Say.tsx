import type { ReactElement } from 'react'
import i18next from 'i18next'
import { Trans } from 'react-i18next/TransWithoutContext'
import type { SayValues } from '@/text/say.ts'
// The catalogue is made ready there.
import './say.ts'

interface Props {
  text: string
  values?: SayValues
  components: Record<string, ReactElement>
}

/** A text with parts that are more than text: `<b>so</b>` in it stands for the component of that name. */
export function Say({ text, values, components }: Props) {
  return (
    <Trans
      i18n={i18next}
      i18nKey={text}
      defaults={text}
      values={values as Record<string, unknown>}
      components={components}
      // What a person typed may hold a "<": it is text, not a part.
      tOptions={{ interpolation: { escapeValue: true } }}
      shouldUnescape
    />
  )
}
