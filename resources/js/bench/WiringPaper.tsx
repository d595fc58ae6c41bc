import { Box, HStack, Stack, Text } from '@chakra-ui/react'
import { placeName } from '@/board/walk'
import type { DoAct } from '@/lib/acts'
import type { BoardData, WiringJob } from '@/lib/types'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

interface Props {
    board: BoardData
    job: WiringJob
    /** wires that were run */
    wires: [string, string][]
    act: DoAct
}

/** What the appliance is to do, in sentences, and the wires that were run, each to be taken off again. */
export function WiringPaper({ board, job, wires, act }: Props) {
    return (
        <Stack gap="2" h="100%" overflowY="auto" tabIndex={0} aria-label={t('Wiring')}>
            <Text fontSize="text">
                {t(
                    '{{many}} wires of the drawing are not here. Whatever does the same is right. Close the call when it is done.',
                    { many: job.missing },
                )}
            </Text>
            {job.leaflet && (
                <details open>
                    <summary>{t('Leaflet of the new control')}</summary>
                    <Text fontSize="text" my="1">
                        {t(
                            'Fits several makes. As it comes, its links are on, its switch is at the factory setting, and the bare end of its spare lead lies on the steel: that lead is live whenever the control is. Take a link off where the appliance has that switch. Lift any lead you do not use; it is capped then. Its codes are its own: see its card. The picture shows how the old one was wired.',
                        )}
                    </Text>
                    <Box as="ul" pl="4" columnCount={2}>
                        {job.leaflet.map(({ to, from }) => (
                            <Text as="li" key={to} fontSize="text">
                                {t('{{to}}: what was on {{from}}', { to, from })}
                            </Text>
                        ))}
                    </Box>
                    <Text fontSize="text" mt="1">
                        {t('Times printed on the old control: {{times}}.', { times: job.card.join(', ') })}
                    </Text>
                </details>
            )}
            <details open={job.leaflet === null}>
                <summary>{t('What it is to do')}</summary>
                <Box as="ul" pl="4" mt="1">
                    {job.described.map((step) => (
                        <Text as="li" key={step} fontSize="text">
                            {step}
                        </Text>
                    ))}
                </Box>
            </details>
            <Text fontWeight={700} fontSize="text">
                {t('Wires you ran: {{many}}', { many: wires.length })}
            </Text>
            {wires.map(([from, to]) => {
                const names = { from: placeName(board, from), to: placeName(board, to) }
                return (
                    <HStack key={`${from} ${to}`} justify="space-between" gap="1">
                        <Text fontSize="text">{t('{{from}} to {{to}}', names)}</Text>
                        <ToolButton
                            size="sm"
                            aria-label={t('Take the wire off {{from}} and {{to}}', names)}
                            onClick={() => void act('unjump', { from, to })}
                        >
                            {t('Take off')}
                        </ToolButton>
                    </HStack>
                )
            })}
        </Stack>
    )
}
