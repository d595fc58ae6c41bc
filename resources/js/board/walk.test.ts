import { describe, expect, it } from 'vitest'
import type { BoardData } from '@/lib/types'
import {
    along,
    extent,
    inSight,
    middleOf,
    named,
    nearest,
    nearestWire,
    nextStops,
    onLadder,
    placeAt,
    placeName,
    reaches,
    wireName,
    wiresAt,
} from './walk'

const terminal = (place: string, x: number, y: number) => ({
    place,
    name: place.split('.')[1]!,
    x,
    y,
    edge: 'up' as const,
})
const part = (id: string, label: string, x: number, terminals: ReturnType<typeof terminal>[]) => ({
    id,
    label,
    title: label,
    family: 'x',
    symbol: 'switch',
    x,
    y: 0,
    w: 50,
    h: 50,
    terminals,
    controls: [],
    resets: false,
    card: null,
    taps: [],
})
const board: BoardData = {
    width: 400,
    height: 200,
    lanes: [],
    parts: [
        part('limit', 'Limit', 0, [terminal('limit.a', 10, 0), terminal('limit.b', 40, 0)]),
        part('board', 'Control', 200, [terminal('board.IN', 210, 100)]),
    ],
    wires: [
        {
            id: 'w1',
            colour: 'yellow',
            from: 'limit.b',
            to: 'board.IN',
            cable: null,
            points: [
                [40, 0],
                [40, -40],
                [210, -40],
                [210, 100],
            ],
        },
    ],
}

describe('walking a lead', () => {
    it('goes along the wire to its other end, and across the part', () => {
        expect(nextStops(board, 'limit.b').map((s) => s.place)).toEqual(['board.IN', 'limit.a'])
        expect(nextStops(board, 'board.IN').map((s) => s.place)).toEqual(['limit.b'])
    })

    it('leaves a wire end for either terminal', () => {
        expect(nextStops(board, 'w1.a').map((s) => s.place)).toEqual(['board.IN', 'limit.b'])
    })

    it('goes along the conductor in the direction of the arrow, and stays where none goes', () => {
        expect(along(board, 'limit.b', 1, 0)).toBe('board.IN')
        expect(along(board, 'limit.b', 0, -1)).toBe('board.IN')
        expect(along(board, 'board.IN', -1, 0)).toBe('limit.b')
        expect(along(board, 'limit.b', -1, 0)).toBeUndefined()
        expect(along(board, 'limit.a', 1, 0)).toBeUndefined()
    })

    it('gives a finger room round a terminal, up to half way to the next', () => {
        expect(Object.fromEntries(reaches(board))).toEqual({ 'limit.a': 15, 'limit.b': 15, 'board.IN': 28 })
        const small = { ...board, parts: [{ ...board.parts[1]!, y: 60, h: 40 }] }
        expect(reaches(small).get('board.IN')).toBe(13) // its middle is a hand's breadth away
    })

    it('goes along the rungs of the ladder and from rung to rung', () => {
        const element = (a: string, b: string, x: number) => ({ part: 'p', title: '', load: false, a, b, x, w: 40 })
        const ladder = {
            width: 300,
            height: 100,
            circuits: [
                {
                    title: '',
                    hot: '',
                    return: '',
                    y: 0,
                    height: 100,
                    rungs: [
                        {
                            y: 20,
                            load: 'p',
                            again: false,
                            elements: [element('p.1', 'p.2', 20), element('q.1', 'q.2', 120)],
                            links: [],
                        },
                        { y: 60, load: 'r', again: false, elements: [element('r.1', 'r.2', 110)], links: [] },
                    ],
                },
            ],
        }
        expect(['p.1', 'p.2', 'q.1'].map((at) => onLadder(ladder, at, 1, 0))).toEqual(['p.2', 'q.1', 'q.2'])
        expect(onLadder(ladder, 'q.2', 1, 0)).toBeUndefined()
        expect(onLadder(ladder, 'q.1', -1, 0)).toBe('p.2')
        expect(onLadder(ladder, 'q.1', 0, 1)).toBe('r.1')
        expect(onLadder(ladder, 'r.1', 0, -1)).toBe('q.1')
        expect(onLadder(ladder, 'off.it', 0, 1)).toBe('p.1')
    })

    it('names places as a person does', () => {
        expect(placeName(board, 'limit.b')).toBe('Limit b')
        expect(placeName(board, 'w1.b')).toBe('yellow wire end at Control IN')
    })

    it('tells of two wires side by side the one that is pressed', () => {
        const two = {
            ...board,
            wires: [
                ...board.wires,
                {
                    ...board.wires[0]!,
                    id: 'w2',
                    points: [
                        [40, 0],
                        [40, -33],
                        [210, -33],
                        [210, 100],
                    ] as [number, number][],
                },
            ],
        }
        expect([
            nearestWire(two, 120, -40),
            nearestWire(two, 120, -35),
            nearestWire({ ...two, wires: [] }, 0, 0),
        ]).toEqual(['w1', 'w2', undefined])
    })

    it('sees of a wire that runs hidden its two ends, and finds it by them alone', () => {
        const hidden = { ...board.wires[0]!, bundled: [1, 2] as [number, number] }
        expect(inSight(hidden)).toEqual([hidden.points.slice(0, 2), hidden.points.slice(2)])
        expect(inSight(board.wires[0]!)).toEqual([board.wires[0]!.points])
        const other = {
            ...board.wires[0]!,
            id: 'w9',
            points: [[0, 60] as [number, number], [300, 60] as [number, number]],
        }
        expect(nearestWire({ ...board, wires: [hidden, other] }, 125, 20)).toBe('w9')
        expect(middleOf({ ...board, wires: [hidden] }, 'w1')).toEqual({ x: 210, y: 30, upright: true })
    })

    it('puts the jaw on the longest run of a wire', () => {
        expect(middleOf(board, 'w1')).toEqual({ x: 125, y: -40, upright: false })
        expect(middleOf(board, 'nothing')).toBeUndefined()
    })

    it('finds a part or a terminal by its words, the nearest first', () => {
        expect(named(board, 'limit').map((f) => f.name)).toEqual(['Limit', 'Limit a', 'Limit b'])
        expect(named(board, 'in control')).toEqual([{ name: 'Control IN', part: 'board', place: 'board.IN' }])
        expect(named(board, 'pump')).toEqual([])
        expect(named(board, 'hi limit')[0]).toEqual({ name: 'Limit', part: 'limit', place: null })
        expect(named(board, 'contrl')[0]?.name).toBe('Control')
        expect(named(board, '  ')).toEqual([])
    })

    it('speaks of a wire by its colour and its ends', () => {
        expect(wireName(board, 'w1')).toBe('yellow, Limit b to Control IN')
        expect(wireName(board, 'gone')).toBe('gone')
    })

    it('finds the wires at a terminal', () => {
        expect(wiresAt(board, 'limit.b').map((w) => `${w.wire.id}.${w.end}`)).toEqual(['w1.a'])
        expect(wiresAt(board, 'limit.a')).toEqual([])
    })

    it('draws a wire end a little off its terminal', () => {
        expect(placeAt(board, 'w1.a')).toEqual({ x: 40, y: -14 })
        expect(placeAt(board, 'nowhere.x')).toBeUndefined()
    })

    it('moves to the nearest terminal in a direction', () => {
        expect(nearest(board, 'limit.a', 1, 0)).toBe('limit.b')
        expect(nearest(board, 'limit.b', 0, 1)).toBe('board.IN')
        expect(nearest(board, 'limit.a', -1, 0)).toBeUndefined()
    })

    it('knows how far the drawing reaches', () => {
        expect(extent(board)).toEqual({ x: -24, y: -64, w: 298, h: 188 })
        expect(extent({ ...board, parts: [], wires: [] })).toEqual({ x: 0, y: 0, w: 400, h: 200 })
    })
})
