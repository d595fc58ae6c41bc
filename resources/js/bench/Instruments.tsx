import { Box, Button, HStack, Stack, Text } from '@chakra-ui/react'
import type { AtTap, DoAct } from '@/lib/acts'
import type { BoardData, Entry, Scene } from '@/lib/types'
import { wireName } from '@/board/walk'
import { useInstruments } from '@/lib/useInstruments'
import { lastReading } from './known'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

interface Props {
    board: BoardData
    scene: Scene
    log: readonly Entry[]
    act: DoAct
}

/** What else hangs on the appliance beside the two leads, each with what it showed last. */
export function Instruments({ board, scene, log, act }: Props) {
    const titleOf = useInstruments()
    const taps = board.parts.flatMap((p) => p.taps ?? [])
    const label = (tap: string) => taps.find((t) => t.tap === tap)?.label ?? tap
    return (
        <>
            {scene.clamp && (
                <Row
                    name="Clamp"
                    where={
                        scene.clamp.wires.map((w) => wireName(board, w)).join(' and ') +
                        (scene.clamp.turns > 1 ? `, ${scene.clamp.turns} turns` : '')
                    }
                    shown={lastReading(log, 'clamp')}
                    onRead={() => void act('read', { of: 'clamp' })}
                    onOff={() => void act('clamp', { wires: [] })}
                >
                    {[1, 10].map((turns) => (
                        <Button
                            key={turns}
                            flex="1"
                            h="touch"
                            px="2"
                            variant="outline"
                            color="ink"
                            aria-pressed={scene.clamp?.turns === turns}
                            borderColor={scene.clamp?.turns === turns ? 'copper' : 'line'}
                            onClick={() => void act('clamp', { wires: scene.clamp?.wires ?? [], turns })}
                        >
                            {turns === 1 ? t('1 turn') : t('10 turns')}
                        </Button>
                    ))}
                </Row>
            )}
            {(Object.entries(scene.at_taps) as [AtTap, string][]).map(([instrument, tap]) => (
                <Row
                    key={instrument}
                    name={titleOf(instrument)}
                    where={label(tap)}
                    shown={lastReading(log, instrument)}
                    onRead={() => void act('read', { of: instrument })}
                    onOff={() => void act(instrument, { tap: null })}
                />
            ))}
        </>
    )
}

interface RowProps {
    name: string
    where: string
    shown: string | undefined
    onRead: () => void
    onOff: () => void
    children?: React.ReactNode
}

function Row({ name, where, shown, onRead, onOff, children }: RowProps) {
    return (
        <Stack layerStyle="panel" gap="1" p="3" as="section" aria-label={name}>
            <HStack justify="space-between">
                <Text fontWeight={700}>{name}</Text>
                <Box bg="lcd" color="lcdInk" borderRadius="sm" px="2" whiteSpace="nowrap">
                    <Text className="reading" fontSize="16px">
                        {shown ?? '· · ·'}
                    </Text>
                </Box>
            </HStack>
            <Text fontSize="note" color="faint">
                {where}
            </Text>
            {children && <HStack gap="1">{children}</HStack>}
            <HStack gap="1">
                <ToolButton flex="1" onClick={onRead}>
                    {t('Log reading')}
                </ToolButton>
                <ToolButton onClick={onOff}>{t('Off')}</ToolButton>
            </HStack>
        </Stack>
    )
}
