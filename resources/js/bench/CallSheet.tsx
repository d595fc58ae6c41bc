import { Box, Stack, Text } from '@chakra-ui/react'
import type { DoAct } from '@/lib/acts'
import type { BoardData, Briefing, Entry } from '@/lib/types'
import { Hints } from './Hints'
import { HouseRules } from './HouseRules'
import { Leaving } from './Leaving'
import { Questions } from './Questions'
import { t } from '@/words'

interface Props {
    job: Briefing
    questions: Record<string, string>
    board: BoardData
    log: readonly Entry[]
    tagged: boolean
    act: DoAct
}

/** What is to be done, in a sentence. */
function toDo(work: Briefing['work']): string {
    switch (work) {
        case 'remote':
            return t('Find the fault by telephone and name it. You repair nothing: somebody else brings the part.')
        case 'wire':
            return t('Wire it so that it runs as it should. Try it, then close the call.')
        case 'swap':
            return t('Fit the new control so that the appliance runs as it did before. Try it, then close the call.')
        case 'commission':
            return t(
                'Take the readings, trip each safety, fix what is out of range, then fill in the sheet and sign it.',
            )
        default:
            return t(
                'Find what is wrong, name it, put it right, watch a cycle, put everything back and hand the appliance over.',
            )
    }
}

/** The complaint, the rules of this job, the code card, and the cautions. */
export function CallSheet({ job, questions, board, log, tagged, act }: Props) {
    const card = board.parts.find((p) => p.card)?.card
    return (
        <Stack gap="3" overflowY="auto" h="100%" pr="1" tabIndex={0} aria-label={t('Call sheet')}>
            <Box bg="ground" borderRadius="md" p="3">
                <Text fontSize="note" color="faint">
                    {t('The customer says')}
                </Text>
                <Text fontSize="17px">“{job.complaint}”</Text>
            </Box>
            <Box fontSize="text">
                <Text fontWeight={700}>{job.kind === 'exam' ? t('Examination') : t('Practice')}</Text>
                <Text>{toDo(job.work)}</Text>
            </Box>
            {job.rules.hints && <Hints prices={job.rules.hints} log={log} act={act} />}
            <Questions questions={questions} log={log} act={act} />
            <Leaving log={log} tagged={tagged} act={act} />
            <HouseRules rules={job.rules} />
            {card && (
                <Box>
                    <Text fontWeight={700} fontSize="text">
                        {t('Card on the panel: lamp')}
                    </Text>
                    <Box as="dl" fontSize="note">
                        {Object.entries(card).map(([code, means]) => (
                            <Box
                                key={code}
                                display="grid"
                                gridTemplateColumns="72px 1fr"
                                borderBottomWidth="1px"
                                borderColor="line"
                                py="0.5"
                            >
                                <Box as="dt" fontWeight={700}>
                                    {code}
                                </Box>
                                <Box as="dd">{means}</Box>
                            </Box>
                        ))}
                    </Box>
                </Box>
            )}
            <Text fontSize="note" color="faint">
                {t(
                    "Simulation: on real equipment follow the maker's instructions, local codes, and work under a licensed person.",
                )}
            </Text>
        </Stack>
    )
}
