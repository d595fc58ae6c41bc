export interface Why {
    text: string
    entry: number | null
}
export interface Change {
    by: string
    at: string | null
    reason: string
    points: number | null
}
export interface MarkLine {
    id: string
    title: string
    share: number
    weight: number
    points: number
    why: Why[]
    override?: { by: string; reason: string; computed: number }
    history?: Change[]
}
export interface MarkData {
    total: number
    passed: boolean
    verdict: string
    not_passed: string[]
    hints: { taken: Record<string, number> | []; points: number }
    call_back: { hours: number; said: string[] }
    rules: { name: string; title: string; version: number; pass_mark: number }
    lines: MarkLine[]
}
export interface Best {
    text: string
    bits: number
    kind: string
    red: string
    black: string | null
}
export interface Row {
    at_s: number
    text: string
    act: string
    done: ({ act: string } & Record<string, unknown>) | null
    before: number
    after: number
    bits_before: number
    bits_after: number
    gained: number
    watched: number
    worth: number
    share: number | null
    left: Record<string, number> | []
    families: { family: string; before: number; after: number }[]
    best: Best[]
    flaws: string[]
    dangers: string[]
}
export interface Turn {
    entry: number
    bits: number
    text: string
}
export interface DebriefData {
    entries: Row[]
    won: Turn[]
    lost: Turn[]
    same: string[]
    bits: number
}
export interface OtherMark {
    rules: { title: string; version: number; pass_mark: number }
    total: number
    passed: boolean
    at: string | null
    lines: { title: string; points: number; weight: number }[]
}

export const VERDICTS: Record<string, string> = {
    proved: 'Proved, among single faults',
    supported: 'The likeliest, but not proved',
    guess: 'A guess',
    contradicted: 'Contradicted by what was seen',
    none: 'No fault was named',
}
/** Acts that change nothing on the appliance and ask nothing of it. */
export const ASIDE = ['meant', 'suspect', 'todo', 'dial', 'wait']
