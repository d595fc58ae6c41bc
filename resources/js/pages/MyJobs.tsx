import { Badge, Box, Button, Flex, Heading, HStack, Stack, Text } from '@chakra-ui/react'
import { Link, router } from '@inertiajs/react'
import { Frame } from '@/shell/Frame'
import type { Briefing } from '@/lib/types'

interface Job extends Briefing {
    attempt: number | null
    handed_back: boolean
    total: number | null
    passed: boolean | null
}

export default function MyJobs({ jobs }: { jobs: Job[] }) {
    return (
        <Frame title="My jobs">
            <Stack gap="4">
                <HStack justify="space-between">
                    <Heading as="h1" size="2xl">
                        My jobs
                    </Heading>
                    <Button
                        h="44px"
                        variant="outline"
                        color="ink"
                        borderColor="line"
                        onClick={() => router.post('/warm-up')}
                    >
                        Warm-up: five minutes on a training board
                    </Button>
                </HStack>
                {jobs.length === 0 && <Text color="faint">No job has been given to you yet.</Text>}
                {jobs.map((j) => (
                    <Flex
                        key={j.id}
                        bg="sheet"
                        borderWidth="1px"
                        borderColor="line"
                        borderRadius="md"
                        p="4"
                        gap="4"
                        align="center"
                    >
                        <Box flex="1">
                            <Text fontWeight={700} fontSize="17px">
                                {j.title}
                            </Text>
                            <Text>“{j.complaint}”</Text>
                        </Box>
                        <Badge bg={j.kind === 'exam' ? 'copperWash' : 'ground'} color="ink">
                            {j.kind === 'exam' ? 'examination' : 'practice'}
                        </Badge>
                        {j.handed_back ? (
                            <>
                                <Text
                                    className="reading"
                                    w="150px"
                                    textAlign="right"
                                    color={j.passed ? 'good' : 'danger'}
                                >
                                    {j.total?.toFixed(1) ?? '–'} {j.passed ? 'passed' : 'not passed'}
                                </Text>
                                <Button asChild h="44px" w="120px" variant="outline" color="ink" borderColor="line">
                                    <Link aria-label={`Debrief: ${j.title}`} href={`/attempts/${j.attempt}/debrief`}>
                                        Debrief
                                    </Link>
                                </Button>
                            </>
                        ) : (
                            <Button
                                h="44px"
                                w="120px"
                                bg="copper"
                                color="onCopper"
                                aria-label={`${j.attempt ? 'Go on' : 'Begin'}: ${j.title}`}
                                onClick={() => router.post(`/jobs/${j.id}/attempt`)}
                            >
                                {j.attempt ? 'Go on' : 'Begin'}
                            </Button>
                        )}
                    </Flex>
                ))}
            </Stack>
        </Frame>
    )
}
