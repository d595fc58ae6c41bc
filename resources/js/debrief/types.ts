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

/** Acts that change nothing on the appliance and ask nothing of it. */
export const ASIDE = ['meant', 'suspect', 'todo', 'dial', 'wait']
