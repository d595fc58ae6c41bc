import { Box, HStack, Stack, Text } from '@chakra-ui/react'
import { useEffect, useRef } from 'react'
import { t } from '@/words'

/** What is to be tried on the training board; the server says which of it has been, from what was done and shown. */
export function WarmUpSteps({ steps, done }: { steps: { id: string; text: string }[]; done: string[] }) {
    const next = steps.find((s) => !done.includes(s.id))
    const here = useRef<HTMLDivElement>(null)
    useEffect(() => {
        here.current?.scrollIntoView({ block: 'nearest' })
    }, [next?.id])
    return (
        <Stack gap="2" h="100%" minH="0">
            <Text fontSize="text" role="status">
                {next
                    ? t('{{many}} of {{many2}} tried. Nothing here is marked.', {
                          many: done.length,
                          many2: steps.length,
                      })
                    : t('All tried. You know the bench; close the warm-up.')}
            </Text>
            <Box
                as="ol"
                listStyleType="none"
                overflowY="auto"
                minH="0"
                flex="1"
                aria-label={t('Steps of the warm-up')}
                tabIndex={0}
            >
                {steps.map((step, i) => {
                    const tried = done.includes(step.id)
                    const at = step === next
                    return (
                        <HStack
                            as="li"
                            key={step.id}
                            ref={at ? here : undefined}
                            align="start"
                            gap="2"
                            px="2"
                            py="1.5"
                            borderRadius="sm"
                            bg={at ? 'copperWash' : undefined}
                            aria-current={at ? 'step' : undefined}
                        >
                            <Text fontSize="text" minW="5" fontWeight={600} aria-label={tried ? t('tried') : undefined}>
                                {tried ? '✓' : i + 1}
                            </Text>
                            <Text fontSize="text" color={tried ? 'faint' : 'ink'}>
                                {step.text}
                            </Text>
                        </HStack>
                    )
                })}
            </Box>
        </Stack>
    )
}
