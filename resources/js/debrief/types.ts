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
    // of explanations
    explained: 'All chains are whole',
    unexplained: 'Not all chains are whole',
    // of a wiring
    wired: 'It does all that it should',
    miswired: 'It does not do all that it should',
    unguarded: 'A safety does not stop what it guards',
    // of a sheet of predictions: the mistake that was made most
    sound: 'All match the meter',
    unsure: 'No usual mistake stands out',
    switch: 'Switches taken for loads',
    phase: 'Legs of a supply taken for one',
    fault: 'The fault was forgotten',
    moment: 'Moments of the sequence confused',
    reference: 'Commons confused',
    stray: 'Stray volts believed',
}
/** Acts that change nothing on the appliance and ask nothing of it. */
export const ASIDE = ['meant', 'suspect', 'todo', 'dial', 'wait']
