import { folded, plain } from './synonyms'

export interface Found {
    title: string
    /** what else it answers to */
    more?: string
    /** how often it is used: of two that answer alike, the usual one comes first */
    usual?: number
}

/** Words that say nothing about a thing. */
const EMPTY = new Set(['the', 'a', 'an', 'of', 'on', 'in', 'is', 'at', 'to', 'and', 'with'])

/** How well one word answers to another: the same, its beginning, a part of it, or a slip of the finger. */
const SAME = 6
const BEGINS = 4
const WITHIN = 2
const SLIP = 1

/** A word found in what else a thing answers to counts less than one in its title. */
const ELSEWHERE = 0.4

/** Below this many letters a slip makes another word of it. */
const SHORT = 4
const LONG = 8

/** What answers to some words, the best first; all, as they stand, without any. */
export function search<T>(all: readonly T[], words: string, by: (item: T) => Found): T[] {
    const asked = folded(words)
        .split(' ')
        .filter((w) => w !== '' && !EMPTY.has(w))
    if (asked.length === 0) return [...all]
    const own = new Set(plain(words).split(' '))
    return all
        .flatMap((item, order) => {
            const { title, more = '', usual = 0 } = by(item)
            const [inTitle, inMore] = [wordsOf(title), wordsOf(more)]
            let score = 0
            for (const word of asked) {
                const best = Math.max(answers(word, inTitle), ELSEWHERE * answers(word, inMore))
                if (best === 0) return []
                score += best
            }
            // said in the very words that stand there
            for (const word of plain(title).split(' ')) if (own.has(word)) score += 1
            return [{ item, score, usual, length: title.length, order }]
        })
        .sort((a, b) => b.score - a.score || b.usual - a.usual || a.length - b.length || a.order - b.order)
        .map(({ item }) => item)
}

/** The words of a text, and those that stand for them. */
function wordsOf(text: string): string[] {
    return [...new Set([...folded(text).split(' '), ...plain(text).split(' ')])]
}

function answers(word: string, to: readonly string[]): number {
    let best = 0
    for (const one of to) {
        if (one === word) return SAME
        if (one.startsWith(word)) best = Math.max(best, BEGINS)
        else if (word.length > 2 && one.includes(word)) best = Math.max(best, WITHIN)
        else if (best === 0 && isSlip(word, one)) best = SLIP
    }
    return best
}

/** Whether a word is another with a letter wrong, missing, too many, or two swapped; with two such where it is long. */
export function isSlip(word: string, of: string): boolean {
    const most = word.length >= LONG ? 2 : word.length >= SHORT ? 1 : 0
    if (most === 0 || Math.abs(word.length - of.length) > most || /\d/.test(word)) return false
    return distance(word, of) <= most
}

/** Edits from one word to another, a swap of neighbours counting as one: optimal string alignment. */
function distance(a: string, b: string): number {
    const d = Array.from({ length: a.length + 1 }, (_, i) => [i, ...Array<number>(b.length).fill(0)])
    for (let j = 1; j <= b.length; j++) d[0]![j] = j
    for (let i = 1; i <= a.length; i++)
        for (let j = 1; j <= b.length; j++) {
            const same = a[i - 1] === b[j - 1] ? 0 : 1
            let least = Math.min(d[i - 1]![j]! + 1, d[i]![j - 1]! + 1, d[i - 1]![j - 1]! + same)
            if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
                least = Math.min(least, d[i - 2]![j - 2]! + 1)
            d[i]![j] = least
        }
    return d[a.length]![b.length]!
}
