export type {
    Best,
    Change,
    DebriefData,
    DebriefEntry as Row,
    MarkData,
    MarkLine,
    OtherMark,
    Turn,
    Why,
} from '@/lib/generated/replies'

export const VERDICTS: Record<string, string> = {
    proved: 'Proved, among single faults',
    supported: 'The likeliest, but not proved',
    guess: 'A guess',
    contradicted: 'Contradicted by what was seen',
    none: 'No fault was named',
}
/** Acts that change nothing on the appliance and ask nothing of it. */
export const ASIDE = ['meant', 'suspect', 'todo', 'dial', 'wait']
