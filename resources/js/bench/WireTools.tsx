import { HStack, Text } from '@chakra-ui/react'
import { placeName } from '@/board/walk'
import type { BoardData, WiringJob } from '@/lib/types'
import { Select } from '@/shell/Select'
import { wireColours } from '@/theme/wires'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

/** The wire in one's hands: whether terminals are joined by it or touched with leads, what it is, where it begins. */
export interface InHandWire {
    on: boolean
    from: string | null
    colour: string
    gauge: number
}

interface Props {
    board: BoardData
    job: WiringJob
    wire: InHandWire
    onChange: (wire: InHandWire) => void
}

/** Wires instead of leads: press one terminal, then the other. */
export function WireTools({ board, job, wire, onChange }: Props) {
    return (
        <HStack
            gap="1"
            wrap={{ base: 'nowrap', lg: 'wrap' }}
            flexShrink={0}
            role="group"
            aria-label={t('Wires to run')}
        >
            <ToolButton on={wire.on} onClick={() => onChange({ ...wire, on: !wire.on, from: null })}>
                {t('Wire in hand')}
            </ToolButton>
            {wire.on && (
                <>
                    <Select
                        label={t('Color of the wire')}
                        w="130px"
                        value={wire.colour}
                        onChange={(colour) => onChange({ ...wire, colour })}
                        options={job.colours.map((c) => [c, `${t(c)} ${wireColours[c]?.mark ?? ''}`])}
                    />
                    <Select
                        label={t('Gauge of the wire')}
                        w="110px"
                        value={String(wire.gauge)}
                        onChange={(gauge) => onChange({ ...wire, gauge: Number(gauge) })}
                        options={job.gauges.map((g) => [String(g), job.metric ? `${g} mm²` : `${g} AWG`])}
                    />
                    <Text fontSize="text" role="status">
                        {wire.from === null
                            ? t('Press the first terminal.')
                            : t('From {{place}}: press the other terminal.', { place: placeName(board, wire.from) })}
                    </Text>
                </>
            )}
        </HStack>
    )
}
