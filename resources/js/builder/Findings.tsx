import { Box, Heading, HStack, Stack, Text } from '@chakra-ui/react'
import { Word } from './Word'
import type { Checked, Edit } from './types'

interface Props {
    checked: Checked | null
    busy: boolean
    edit: (...edits: Edit[]) => Promise<boolean>
    onShow: (parts: string[], wires: string[]) => void
}

/** What is wrong or odd about the wiring, each with where, why and a way to mend it; and what is missing to run. */
export function Findings({ checked, busy, edit, onShow }: Props) {
    if (!checked)
        return (
            <Text fontSize="text" color="faint">
                Checking…
            </Text>
        )
    return (
        <Stack gap="2" aria-label="Checks" aria-busy={busy} as="section">
            {busy && (
                <Text fontSize="note" color="faint">
                    Checking the change…
                </Text>
            )}
            {checked.findings.length === 0 && (
                <Text color="good" fontWeight={700}>
                    Wiring checks passed.
                </Text>
            )}
            {checked.findings.map((f, i) => (
                <Box key={i} borderTopWidth="1px" borderColor="line" pt="1">
                    <Text fontSize="note" fontWeight={700} color={f.grade === 'wrong' ? 'danger' : 'faint'}>
                        {f.grade === 'wrong' ? '▲ ' : '○ '}
                        {f.rule}
                    </Text>
                    <Text fontSize="text">{f.text}</Text>
                    <Text fontSize="note" color="faint">
                        {f.why} {f.mend}
                    </Text>
                    <HStack gap="1" mt="1">
                        <Word onClick={() => onShow(f.parts, f.wires)}>Show</Word>
                        {f.edits.length > 0 && <Word onClick={() => void edit(...f.edits)}>Fix</Word>}
                    </HStack>
                </Box>
            ))}
            {checked.lacks.length > 0 && (
                <Box borderTopWidth="1px" borderColor="line" pt="2">
                    <Heading as="h3" size="sm">
                        Needed before it runs
                    </Heading>
                    {checked.lacks.map((l, i) => (
                        <Text key={i} fontSize="text">
                            {l.text}
                        </Text>
                    ))}
                </Box>
            )}
        </Stack>
    )
}

/** The circuits one at a time, from the supply to each load and home again. */
export function Circuits({ checked, onShow }: Pick<Props, 'checked' | 'onShow'>) {
    if (!checked)
        return (
            <Text fontSize="text" color="faint">
                Checking…
            </Text>
        )
    const shown = checked.circuits.filter((c) => c.loads.length > 0)
    return (
        <Stack gap="3" as="section" aria-label="Circuits">
            {checked.open.length > 0 && (
                <Box>
                    <Heading as="h3" size="sm" color="danger">
                        Not complete
                    </Heading>
                    {checked.open.map((o) => (
                        <Text key={o.words} fontSize="text">
                            {o.words}
                        </Text>
                    ))}
                </Box>
            )}
            {shown.length === 0 && (
                <Text fontSize="text" color="faint">
                    No load has a way from a supply and home yet.
                </Text>
            )}
            {shown.map((c) => (
                <Box key={`${c.hot} ${c.return}`}>
                    <Heading as="h3" size="sm">
                        {c.title}{' '}
                        <Text as="span" fontSize="note" color="faint">
                            {c.class}
                        </Text>
                    </Heading>
                    {c.loads.map((l) => (
                        <Box key={l.load} borderTopWidth="1px" borderColor="line" py="1">
                            <Text fontSize="text">{l.words}</Text>
                            <HStack gap="2">
                                <Word onClick={() => onShow(l.parts, l.wires)}>Show</Word>
                                <Text fontSize="note" color="faint">
                                    {l.proves ? `proves “${l.proves}”` : ''}
                                    {l.ways > 1 ? ` ${l.ways} ways` : ''}
                                </Text>
                            </HStack>
                        </Box>
                    ))}
                </Box>
            ))}
        </Stack>
    )
}
