import { t } from '@/words'

/** What a job is given for, in a word. */
export function kindName(kind: string): string {
    switch (kind) {
        case 'exam':
            return t('examination')
        case 'demonstration':
            return t('demonstration')
        case 'free':
            return t('free bench')
        default:
            return t('practice')
    }
}
