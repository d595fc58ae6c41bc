import type { BenchPage } from '@/lib/types'
import { t } from '@/words'

/** The papers beside the appliance, each with its name. */
export const tabsOf = (
    { steps, job, wiring, commissioning, returning }: BenchPage,
    many: number,
): (readonly [string, string])[] => [
    ['call', steps ? t('Steps') : t('Call')],
    ...(wiring ? [['wiring', t('Wiring')] as const] : []),
    ...(commissioning ? [['commissioning', t('Sheet')] as const] : []),
    ...(returning ? [['logger', t('Logger')] as const] : []),
    ['log', t('Log ({{many}})', { many })],
    ...(job.is_traced ? [['suspects', t('Suspects')] as const] : []),
    ['list', t('List')],
    ...(job.rules.own_sheet ? [['sheet', t('Sheet')] as const] : []),
    ...(job.rules.report && job.is_traced ? [['report', t('Report')] as const] : []),
]
