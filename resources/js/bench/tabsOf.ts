import type { BenchPage } from '@/lib/types'
import { t } from '@/words'

/** The papers beside the appliance, each with its name. */
export const tabsOf = ({ steps, job, wiring }: BenchPage, many: number): (readonly [string, string])[] => [
    ['call', steps ? t('Steps') : t('Call')],
    ...(wiring ? [['wiring', t('Wiring')] as const] : []),
    ['log', t('Log ({{many}})', { many })],
    ...(wiring ? [] : [['suspects', t('Suspects')] as const]),
    ['list', t('List')],
    ...(job.rules.own_sheet ? [['sheet', t('Sheet')] as const] : []),
    ...(job.rules.report && !wiring ? [['report', t('Report')] as const] : []),
]
