import { HStack } from '@chakra-ui/react'
import { ToolButton } from '@/theme/buttons'
import { LARGEST, type View } from './view'
import { t } from '@/words'

/** What of the board is shown: wires and pipes, or one of them with the other laid aside. */
const LAYERS = { Both: 'wires and pipes', Wires: 'wires', Pipes: 'pipes' } as const

export type Layer = keyof typeof LAYERS

interface Props {
    view: View
    readable: boolean
    /** which is shown; null where there is only one */
    layer: Layer | null
    onLayer: (layer: Layer) => void
    onWhole: () => void
    onNearer: (steps: number) => void
}

/** Buttons on the board: what of it is shown, and how large. */
export function BoardButtons({ view, readable, layer, onLayer, onWhole, onNearer }: Props) {
    return (
        <HStack gap="1" position="absolute" right="2" bottom="2">
            {layer !== null && (
                <ToolButton
                    minW="touch"
                    px="1"
                    bg="sheet"
                    fontSize="note"
                    on={layer !== 'Both'}
                    aria-label={t('Layers on the board: {{value}}', { value: t(LAYERS[layer]) })}
                    onClick={() => onLayer(layer === 'Both' ? 'Wires' : layer === 'Wires' ? 'Pipes' : 'Both')}
                >
                    {t(layer)}
                </ToolButton>
            )}
            {readable && (
                <ToolButton
                    minW="touch"
                    px="1"
                    bg="sheet"
                    fontSize="note"
                    aria-label={t('The whole appliance, or so that it can be read')}
                    on={view.scale === 1}
                    onClick={onWhole}
                >
                    {t('All')}
                </ToolButton>
            )}
            <ToolButton
                minW="touch"
                px="0"
                bg="sheet"
                aria-label={t('Zoom in')}
                disabled={view.scale >= LARGEST}
                onClick={() => onNearer(1)}
            >
                +
            </ToolButton>
            <ToolButton
                minW="touch"
                px="0"
                bg="sheet"
                aria-label={t('Zoom out')}
                disabled={view.scale <= 1}
                onClick={() => onNearer(-1)}
            >
                −
            </ToolButton>
        </HStack>
    )
}
