import { Box, chakra } from '@chakra-ui/react'
import type { BoardData } from '@/lib/types'
import type { Extent } from './view'
import { t } from '@/words'
import { Rect } from '@/theme/shapes'

const Svg = chakra('svg')

const WIDTH = 120

/** The whole appliance, small, with the piece of it that is in view: where one is, and the way elsewhere. */
export function MiniMap({
    board,
    all,
    piece,
    onGo,
}: {
    board: BoardData
    all: Extent
    piece: Extent
    onGo: (x: number, y: number) => void
}) {
    return (
        <Box position="absolute" left="2" bottom="2" bg="sheet" borderWidth="1px" borderColor="line" borderRadius="sm">
            <Svg
                viewBox={`${all.x} ${all.y} ${all.w} ${all.h}`}
                w={`${WIDTH}px`}
                h={`${(WIDTH * all.h) / all.w}px`}
                display="block"
                role="img"
                aria-label={t('The whole appliance, small')}
                cursor="pointer"
                onClick={(e) => {
                    const box = e.currentTarget.getBoundingClientRect()
                    onGo(
                        all.x + ((e.clientX - box.left) / box.width) * all.w,
                        all.y + ((e.clientY - box.top) / box.height) * all.h,
                    )
                }}
            >
                {board.parts.map((p) => (
                    <Rect key={p.id} x={p.x} y={p.y} width={p.w} height={p.h} fill="line" />
                ))}
                <Rect
                    x={piece.x}
                    y={piece.y}
                    width={piece.w}
                    height={piece.h}
                    fill="copperWash"
                    fillOpacity={0.5}
                    stroke="copper"
                    strokeWidth={all.w / WIDTH}
                />
            </Svg>
        </Box>
    )
}
