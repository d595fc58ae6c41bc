import type { BenchPage } from '@/lib/types'
import { t } from '@/words'

/** The papers beside the appliance, each with its name. */
export const tabsOf = ({ steps, job }: BenchPage, many: number): (readonly [string, string])[] => [
    ['call', steps ? t('Steps') : t('Call')],
    ['log', t('Log ({{many}})', { many })],
    ['suspects', t('Suspects')],
    ['list', t('List')],
    ...(job.rules.own_sheet ? [['sheet', t('Sheet')] as const] : []),
    ...(job.rules.report ? [['report', t('Report')] as const] : []),
]
