import i18next from 'i18next'
import { readLook } from '@/shell/look'
import british from './en-GB.json'
import spanish from './es.json'

/** Languages that can be chosen; American English is what stands in the code. */
export const LANGUAGES = {
    'en-US': 'American English',
    'en-GB': 'British English',
    es: 'Español (muestra)',
} as const

export type Language = keyof typeof LANGUAGES

/** Words by the English that stands in the code; a page is loaded anew when its language is changed. */
const words = i18next.createInstance()
void words.init({
    lng: readLook().language,
    fallbackLng: false,
    resources: { 'en-GB': { translation: british }, es: { translation: spanish } },
    keySeparator: false,
    nsSeparator: false,
    contextSeparator: '\0',
    pluralSeparator: '\0',
    interpolation: { escapeValue: false },
    initAsync: false,
})

/** A text in the reader's language; {{names}} in it stand for values. */
export const t = (text: string, values?: Record<string, unknown>): string => words.t(text, values ?? {})
