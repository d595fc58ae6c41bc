import type { BoardData } from '@/lib/types'

/** A place on the board where a part of that size covers none. */
export function free(board: BoardData, size: [number, number]): [number, number] {
    const room = 42
    for (let y = 56; y < 4000; y += 28) {
        for (let x = 42; x + size[0] < Math.max(1190, board.width - room); x += 28) {
            if (
                !board.parts.some(
                    (p) =>
                        x < p.x + p.w + room &&
                        x + size[0] + room > p.x &&
                        y < p.y + p.h + room &&
                        y + size[1] + room > p.y,
                )
            )
                return [x, y]
        }
    }
    return [42, 56]
}
