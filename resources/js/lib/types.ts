import type { AtTap, Mode } from './acts'

export interface Terminal {
    place: string
    name: string
    x: number
    y: number
    edge: 'up' | 'down' | 'left' | 'right'
}
export interface Control {
    lever: string
    label: string
    unit: string | null
    positions: string[] | null
    range: [number, number] | null
    at: string | number
}
export interface Hands {
    turn: boolean
    push: boolean
    clock: boolean
    suck: boolean
    batteries: boolean
    fuse: number | null
    spares: string[]
}
export interface Tap {
    tap: string
    instrument: AtTap
    label: string
}
export interface Part {
    id: string
    label: string
    title: string
    family: string
    symbol: string
    x: number
    y: number
    w: number
    h: number
    /** the label in lines, and the size in which it fits; boards of older jobs have none */
    text?: string[]
    size?: number
    terminals: Terminal[]
    controls: Control[]
    resets: boolean
    card: Record<string, string> | null
    taps: Tap[]
    hands?: Hands
}
export interface Wire {
    id: string
    colour: string
    from: string
    to: string
    cable: string | null
    points: [number, number][]
}
export interface Lane {
    channel: string
    name: string
    tone: 'lamp' | 'moving' | 'glow' | 'copper' | 'flame' | 'water'
}
export interface LadderElement {
    part: string
    title: string
    load: boolean
    a: string
    b: string
    x: number
    w: number
}
export interface LadderData {
    width: number
    height: number
    circuits: {
        title: string
        hot: string
        return: string
        y: number
        height: number
        rungs: { y: number; load: string; again: boolean; elements: LadderElement[]; links: string[][] }[]
    }[]
}
export interface BoardData {
    width: number
    height: number
    parts: Part[]
    wires: Wire[]
    lanes: Lane[]
    ladder?: LadderData
}

export interface Stretch {
    from: number
    to: number
    value: string
    say: string
}
export interface Reading {
    mode: string
    value: number | null
    step: number
    live: boolean
    text: string
    unsteady?: boolean
    low?: boolean
    least?: number | null
    most?: number | null
}
export interface Channels {
    perceived: Record<string, Stretch[]>
    meter: MeterStretch[]
}
/** What a settled display shows; `of` is the dial and the leads, `settles_s` how long a change takes to be shown. */
export interface MeterStretch {
    from: number
    to: number
    reading: Reading
    of?: string
    settles_s?: number
}

export interface Entry {
    id: string
    at_s: number
    text: string
    act: { act: string } & Record<string, unknown>
    /** a hint that is still being worked out */
    waits?: boolean
    seen: Record<string, string> | []
    reading: Reading | null
    refused: string | null
    dangers: Record<string, string> | []
}
export interface Jaw {
    wires: string[]
    turns: number
}
export interface Scene {
    door: 'open' | 'shut'
    held: boolean
    eyes: string | null
    red: string | null
    black: string | null
    lifted: string[]
    labour: number
    mode: Mode
    range: number | null
    keeping: boolean
    blown: string[]
    battery: 'good' | 'low'
    jumpers: [string, string][]
    clamp: Jaw | null
    at_taps: Partial<Record<AtTap, string>>
}
export interface Reply {
    entry: Entry | null
    now_s: number
    until_s: number
    scene: Scene
    passed: Channels
    ahead: Channels
    handed_back: boolean
    tried?: string[]
}

export interface FaultName {
    id: string
    title: string
    part?: string
    family: string
    weight?: number
}
/** What a trainee is told of the house rules of a job. */
export interface ToldRules {
    title: string
    version: number
    pass_mark: number
    not_passed: string[]
    schools: { question: string; way: string }[] | Record<string, { question: string; way: string }>
    flame_ua: number
    verify: { cycle: boolean; safeties: 'none' | 'one' | 'each'; reading: boolean; restore: boolean }
    barred: string[]
    papers: string[]
    stops: boolean
    hints: Record<'where' | 'circuit' | 'reading', number> | null
}
export interface Briefing {
    id: number
    title: string
    complaint: string
    kind: 'practice' | 'exam' | 'warm-up'
    rules: ToldRules
}
export interface Me {
    id: number
    name: string
    role: 'instructor' | 'trainee'
}

/** A question with its answers, or the faults at an end. */
export interface TreeNode {
    shows?: string
    ask?: string
    kind?: string
    count?: number
    answers?: TreeNode[]
    faults?: string[]
}
export interface FaultGrade {
    id: string
    title: string
    family: string
    weight: number
    look_alikes: string[]
    grade: number
    points: number
    questions: number
    windows: number
    minutes: number
}
/** What is known of a model's faults before anyone is sent to it. */
export interface Findings {
    faults: FaultGrade[]
    questions: number
    expected: number
    bound: number
    outcomes: number
    without_effect: Record<string, string>
    tree: TreeNode
}
export interface AnalysisState {
    doing: string
    share: number
    error: string | null
    result: Findings | null
}
