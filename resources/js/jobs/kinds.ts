import { t } from '@/words'

/** What a job is given for, and what is done in it where that is not to trace a fault, in a word or two. */
export function jobName(job: { kind: string; work: string }): string {
    const works: Record<string, string> = {
        return: t('return visit'),
        compare: t('compared with a sound one'),
        remote: t('by telephone'),
        predict: t('predictions'),
        explain: t('explanations'),
        order: t('sequence'),
        commission: t('commissioning'),
        wire: t('wiring'),
        swap: t('a control swapped'),
    }
    const work = works[job.work]
    return work ? `${kindName(job.kind)}, ${work}` : kindName(job.kind)
}

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
