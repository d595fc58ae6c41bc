import { Stack, Text } from '@chakra-ui/react'
import type { DoAct } from '@/lib/acts'
import type { FaultName } from '@/lib/types'
import { SuspectLine } from './SuspectLine'
import { t } from '@/words'

interface Props {
    part: string
    faults: FaultName[]
    marks: Record<string, 'star' | 'out' | 'open'>
    act: DoAct
}

/** The ways in which the picked part can fail, each a line to strike or star. */
export function PartSuspects({ part, faults, marks, act }: Props) {
    const of = faults.filter((f) => f.part === part)
    if (of.length === 0) return null
    const left = of.filter((f) => marks[f.id] !== 'out').length
    return (
        <details>
            <summary>
                <Text as="span" fontSize="text" color="copper" fontWeight={700} cursor="pointer">
                    {t('Suspects here: {{left}} of {{many}}', { left, many: of.length })}
                </Text>
            </summary>
            <Stack gap="0" role="list" aria-label={t('Suspects in this part')}>
                {of.map((f) => (
                    <SuspectLine key={f.id} fault={f} mark={marks[f.id] ?? 'open'} act={act} />
                ))}
            </Stack>
        </details>
    )
}
