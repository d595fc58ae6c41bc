import { Box, Flex, Heading, Stack, Text } from '@chakra-ui/react'
import { Link } from '@inertiajs/react'
import { Frame } from '@/shell/Frame'
import { MainButton } from '@/theme/buttons'
import type { ModelRow } from '@/lib/types'

export default function Models({ models }: { models: ModelRow[] }) {
    return (
        <Frame title="Models">
            <Stack gap="4">
                <Heading as="h1" size="2xl">
                    Models
                </Heading>
                {models.map((m) => (
                    <Flex
                        layerStyle="panel"
                        key={m.id}

                        p="4"
                        gap="4"
                        align="center"
                    >
                        <Box flex="1">
                            <Text fontWeight={700} fontSize="17px">
                                {m.title}
                            </Text>
                            <Text>{m.notes}</Text>
                            <Text fontSize="text" color="faint">
                                {m.parts} parts, {m.wires} wires, {m.faults} single faults
                            </Text>
                        </Box>
                        <MainButton asChild>
                            <Link href={`/models/${m.id}`} aria-label={`Set a fault in ${m.title}`}>
                                Set a fault
                            </Link>
                        </MainButton>
                    </Flex>
                ))}
            </Stack>
        </Frame>
    )
}
