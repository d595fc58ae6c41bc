import type { BenchPage } from '@/lib/types'
import { t } from '@/words'

/** The papers beside the appliance, each with its name. */
export const tabsOf = (
    { steps, job, wiring, commissioning }: BenchPage,
    many: number,
): (readonly [string, string])[] => [
    ['call', steps ? t('Steps') : t('Call')],
    ...(wiring ? [['wiring', t('Wiring')] as const] : []),
    ...(commissioning ? [['commissioning', t('Sheet')] as const] : []),
    ['log', t('Log ({{many}})', { many })],
    ...(job.work === 'trace' ? [['suspects', t('Suspects')] as const] : []),
    ['list', t('List')],
    ...(job.rules.own_sheet ? [['sheet', t('Sheet')] as const] : []),
    ...(job.rules.report && job.work === 'trace' ? [['report', t('Report')] as const] : []),
]
