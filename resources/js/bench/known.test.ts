import { describe, expect, it } from 'vitest'
import type { Entry } from '@/lib/types'
import { knownLever, lastReading, ownList, suspectMarks, suspectWhys, unsaid } from './known'

const entry = (act: string, fields: Record<string, unknown> = {}, more: Partial<Entry> = {}): Entry => ({
    id: act,
    at_s: 0,
    text: '',
    act: { act, ...fields },
    seen: {},
    reading: null,
    refused: null,
    dangers: {},
    ...more,
})

describe('what the trainee knows', () => {
    it('knows a lever only when it was looked at or set', () => {
        expect(knownLever([], 'service', 'lever', 'lever')).toBeUndefined()
        const looked = entry('look', { part: 'service' }, { seen: { lever: 'off' } })
        expect(knownLever([looked], 'service', 'lever', 'lever')).toBe('off')
        const set = entry('set', { part: 'service', lever: 'lever', to: 'on' })
        expect(knownLever([looked, set], 'service', 'lever', 'lever')).toBe('on')
        expect(knownLever([looked, { ...set, refused: 'no' }], 'service', 'lever', 'lever')).toBe('off')
    })

    it('keeps the last mark of each suspect', () => {
        expect(
            suspectMarks([
                entry('suspect', { fault: 'a', mark: 'star' }),
                entry('suspect', { fault: 'a', mark: 'out' }),
            ]),
        ).toEqual({ a: 'out' })
    })

    it('keeps why each suspect stands as it does', () => {
        expect(
            suspectWhys([
                entry('suspect', { fault: 'a', mark: 'star', why: 'hums' }),
                entry('suspect', { fault: 'a', mark: 'out' }),
                entry('suspect', { fault: 'b', mark: 'out', why: 'turns' }),
            ]),
        ).toEqual({ a: 'hums', b: 'turns' })
    })

    it('keeps the own list as it stands, each item once', () => {
        const todo = (item: string, state: string) => entry('todo', { item, state })
        expect(
            ownList([todo('door on', 'open'), todo('hose', 'open'), todo('door on', 'done'), todo('hose', 'gone')]),
        ).toEqual([{ item: 'door on', done: true }])
    })

    it('asks for a meaning once', () => {
        const reading = entry('leads', {}, { reading: { mode: 'vac', value: 1, step: 1, live: false, text: '1' } })
        expect(unsaid([])).toBeUndefined()
        expect(unsaid([reading, entry('wait')])).toBe(reading)
        expect(unsaid([reading, entry('meant')])).toBeUndefined()
    })

    it('keeps apart what each instrument showed last', () => {
        const shown = (mode: string, text: string) =>
            entry('read', {}, { reading: { mode, value: 1, step: 1, live: false, text } })
        const log = [shown('clamp', '1.10 A AC'), shown('vac', '24.1 V AC'), shown('clamp', '1.20 A AC')]
        expect(lastReading(log, 'clamp')).toBe('1.20 A AC')
        expect(lastReading(log, 'gauge')).toBeUndefined()
    })
})
