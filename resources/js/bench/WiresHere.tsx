import { Button, HStack, Text } from '@chakra-ui/react'
import { placeName, wiresAt } from '@/board/walk'
import type { DoAct } from '@/lib/acts'
import type { BoardData, Entry } from '@/lib/types'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

/** Each wire on the terminal that is picked: lifted and landed, clamped round, tugged at. */
export function WiresHere({
    board,
    place,
    log,
    lifted,
    jaw,
    act,
    onPlace,
}: {
    board: BoardData
    place: string
    log: Entry[]
    lifted: string[]
    /** wires that the clamp is closed round */
    jaw: string[]
    act: DoAct
    onPlace: (place: string) => void
}) {
    return (
        <>
            {wiresAt(board, place).map(({ wire, end }) => {
                const id = `${wire.id}.${end}`
                const isLifted = lifted.includes(id)
                const far = placeName(board, end === 'a' ? wire.to : wire.from)
                const moved = [...log].reverse().find((e) => e.act.act === 'tug' && e.act['end'] === id)
                return (
                    <HStack key={id} gap="1" wrap="wrap">
                        <Text flex="1 0 100%" fontSize="note">
                            {wire.bundled
                                ? t('{{colour}}, runs hidden; by the drawing to {{far}}', {
                                      colour: wire.colour,
                                      far,
                                  })
                                : t('{{colour}} to {{far}}', { colour: wire.colour, far })}
                            {moved?.seen['other end'] &&
                                t('. Tugged: its other end: {{value}}', { value: moved.seen['other end'] })}
                        </Text>
                        <ToolButton
                            size="sm"
                            aria-label={
                                isLifted
                                    ? t('Land the {{place}}', { place: placeName(board, id) })
                                    : t('Lift the {{place}}', { place: placeName(board, id) })
                            }
                            onClick={() => void act(isLifted ? 'land' : 'lift', { end: id })}
                        >
                            {isLifted ? t('Land') : t('Lift')}
                        </ToolButton>
                        <Button
                            size="sm"
                            h="touch"
                            variant="outline"
                            color="ink"
                            borderColor={jaw.includes(wire.id) ? 'copper' : 'line'}
                            aria-pressed={jaw.includes(wire.id)}
                            aria-label={t('Clamp round the {{placeName}}', { placeName: placeName(board, id) })}
                            onClick={() =>
                                void act('clamp', {
                                    wires: jaw.includes(wire.id) ? jaw.filter((w) => w !== wire.id) : [...jaw, wire.id],
                                })
                            }
                        >
                            {jaw.includes(wire.id) ? t('Out of clamp') : jaw.length > 0 ? t('Clamp too') : t('Clamp')}
                        </Button>
                        {wire.bundled && (
                            <ToolButton
                                size="sm"
                                aria-label={t('Tug at the {{placeName}}', { placeName: placeName(board, id) })}
                                onClick={() => void act('tug', { end: id })}
                            >
                                {t('Tug')}
                            </ToolButton>
                        )}
                        {isLifted && (
                            <ToolButton
                                size="sm"
                                aria-label={t('Lead on the {{placeName}}', { placeName: placeName(board, id) })}
                                onClick={() => onPlace(id)}
                            >
                                {t('Lead')}
                            </ToolButton>
                        )}
                    </HStack>
                )
            })}
        </>
    )
}
