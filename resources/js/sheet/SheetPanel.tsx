import { Box, Heading, HStack, Stack, Text } from '@chakra-ui/react'
import { type ReactNode, useState } from 'react'
import { kindName } from '@/jobs/kinds'
import type { Briefing } from '@/lib/types'
import { SheetLine } from '@/live/SheetLine'
import { MainButton } from '@/theme/buttons'
import { t } from '@/words'

interface Props {
    attempt: number
    job: Briefing
    handUp: boolean
    standing: { stopped: boolean; leftS: number | null }
    onStanding: (standing: { stopped: boolean; leftS: number | null }) => void
    /** what is wrong with the appliance; null: nothing */
    fault: string | null
    /** what is to be done, in a sentence */
    asks: string
    refused: string | null
    /** what the items are called together */
    label: string
    /** how many have no answer, and the sentence that says so */
    left: number
    leftSays: string
    closing: boolean
    onClose: () => void
    children: ReactNode
}

/** What stands beside the board at a sheet: the job, the line to the instructor, the items, and handing it in. */
export function SheetPanel({
    attempt,
    job,
    handUp,
    standing,
    onStanding,
    fault,
    asks,
    refused,
    label,
    left,
    leftSays,
    closing,
    onClose,
    children,
}: Props) {
    const [sure, setSure] = useState(false)
    return (
        <Stack layerStyle="panel" minH="0" p="3" gap="2">
            <HStack justify="space-between" align="start">
                <Box>
                    <Heading as="h1" size="md">
                        {job.title}
                    </Heading>
                    <Text fontSize="note" color="faint">
                        {kindName(job.kind)}
                    </Text>
                </Box>
                <SheetLine attempt={attempt} job={job} handUp={handUp} standing={standing} onStanding={onStanding} />
            </HStack>
            <Text fontSize="text">
                {fault === null ? t('No fault: everything works.') : t('The fault: {{fault}}.', { fault })} {asks}
            </Text>
            {standing.stopped && (
                <Text color="danger">{t('Your instructor has stopped all benches. Wait until they go on.')}</Text>
            )}
            {refused && (
                <Text role="alert" color="danger" fontSize="text">
                    {refused}
                </Text>
            )}
            <Box flex="1" minH="0" overflowY="auto" tabIndex={0} role="group" aria-label={label}>
                {children}
            </Box>
            {sure && left > 0 && (
                <Text fontSize="text" role="alert">
                    {leftSays}
                </Text>
            )}
            <MainButton disabled={closing} onClick={() => (left === 0 || sure ? onClose() : setSure(true))}>
                {sure && left > 0 ? t('Hand it in anyway') : t('Hand the sheet in')}
            </MainButton>
        </Stack>
    )
}
