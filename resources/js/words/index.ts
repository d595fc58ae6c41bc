import i18next, { type ResourceLanguage } from 'i18next'
import { readLook } from '@/shell/look'

/** Languages that can be chosen; American English is what stands in the code. */
export const LANGUAGES = {
    'en-US': 'American English',
    'en-GB': 'British English',
    es: 'Español (muestra)',
} as const

export type Language = keyof typeof LANGUAGES

const CATALOGUES: Partial<Record<Language, () => Promise<{ default: ResourceLanguage }>>> = {
    'en-GB': () => import('./en-GB.json'),
    es: () => import('./es.json'),
}

/** Words by the English that stands in the code; a page is loaded anew when its language is changed. */
const words = i18next.createInstance()
void words.init({
    lng: readLook().language,
    fallbackLng: false,
    resources: {},
    keySeparator: false,
    nsSeparator: false,
    contextSeparator: '\0',
    pluralSeparator: '\0',
    interpolation: { escapeValue: false },
    initAsync: false,
    showSupportNotice: false,
})

/** The catalogue of this person's language is there; nothing is written before. */
export async function haveWords(): Promise<void> {
    const { language } = readLook()
    const catalogue = await CATALOGUES[language]?.().catch(() => undefined) // without it the English that stands here
    if (catalogue) words.addResourceBundle(language, 'translation', catalogue.default)
    found.clear()
}

/** Texts as they were found: a board asks for the same few hundred at each of its drawings. */
const found = new Map<string, string>()

function inLanguage(text: string): string {
    const kept = found.get(text)
    if (kept !== undefined) return kept
    const said = words.t(text, { skipInterpolation: true })
    found.set(text, said)
    return said
}

/** A text in the reader's language; {{names}} in it stand for values. */
export function t(text: string, values?: Record<string, unknown>): string {
    const said = inLanguage(text)
    return values ? words.services.interpolator.interpolate(said, values, words.language, {}) : said
}
