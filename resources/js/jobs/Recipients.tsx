import { Box, Grid, HStack, Text } from '@chakra-ui/react'
import { memo, useCallback, useLayoutEffect, useRef } from 'react'
import { Tick } from '@/shell/Tick'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

interface Person {
    id: number
    name: string
}

interface Props {
    all: Person[]
    chosen: number[]
    onChoose: (chosen: number[]) => void
    error?: string
}

/** Who of a class gets a job. A class has hundreds: who is ticked is drawn anew, and nobody else. */
export function Recipients({ all, chosen, onChoose, error }: Props) {
    const now = useRef({ chosen, onChoose })
    useLayoutEffect(() => {
        now.current = { chosen, onChoose }
    })
    const toggle = useCallback((id: number) => {
        const { chosen: those, onChoose: choose } = now.current
        choose(those.includes(id) ? those.filter((i) => i !== id) : [...those, id])
    }, [])
    const among = new Set(chosen)
    const isEach = chosen.length === all.length
    return (
        <Box>
            <HStack>
                <Text fontSize="text" fontWeight={700} flex="1">
                    {t('To {{many}} of {{all}}', { many: chosen.length, all: all.length })}
                </Text>
                <ToolButton size="sm" onClick={() => onChoose(isEach ? [] : all.map(({ id }) => id))}>
                    {isEach ? t('Nobody') : t('All of the class')}
                </ToolButton>
            </HStack>
            <Grid
                templateColumns="1fr 1fr"
                gap="1"
                maxH="200px"
                overflowY="auto"
                tabIndex={0}
                aria-label={t('Trainees')}
            >
                {all.map(({ id, name }) => (
                    <Row key={id} id={id} name={name} checked={among.has(id)} onToggle={toggle} />
                ))}
            </Grid>
            {error && (
                <Text color="danger" role="alert" fontSize="text">
                    {error}
                </Text>
            )}
        </Box>
    )
}

const Row = memo(function Row({
    id,
    name,
    checked,
    onToggle,
}: Person & { checked: boolean; onToggle: (id: number) => void }) {
    return (
        <Tick checked={checked} onChange={() => onToggle(id)}>
            {name}
        </Tick>
    )
})
