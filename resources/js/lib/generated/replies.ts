// Written by npm run generate from contract/replies.json; not to be changed by hand.

export type AnalysisReply = AnalysisState | Nothing
/**
 * An instrument that is put to a tap, by the act that puts it there.
 */
export type AtTap =
    | 'gauge'
    | 'probe'
    | 'draught'
    | 'analyser'
    | 'analyser_co2'
    | 'analyser_co'
    | 'analyser_efficiency'
    | 'smoke'
    | 'oil_gauge'
    | 'water_gauge'
    | 'display'
/**
 * A position of the meter's dial.
 */
export type Mode = 'vac' | 'vlz' | 'vdc' | 'mvdc' | 'ohm' | 'beep' | 'uf' | 'hz' | 'ua' | 'ma' | 'aac'
export type Differences = string[]
export type DraftSteps = DraftStep[]
export type EditReply = DraftReply | DraftData
export type KindsFound = KindFound[]
export type PairsReply = PairsState | Nothing
export type SumResults = SumResult[]

export interface AccountPage {
    signs_in_as: string
    least: number
    courses: string[]
    second_factor: {
        offered: boolean
        since: string | null
        codes_left: number
    }
    sessions: SessionRow[]
}
export interface SessionRow {
    key: string
    here: boolean
    from: string | null
    with: string
    last: string
}
export interface Acted {
    fire_s: number | null
    safeties: {
        after_s: number | null
        part: string
        stops: boolean
        title: string
        words: string
    }[]
}
export interface AnalysisState {
    doing: string
    error: string | null
    result: Findings | null
    share: number
}
/**
 * What is known of a model's faults before anyone is sent to it.
 */
export interface Findings {
    bound: number
    expected: number
    faults: FaultGrade[]
    outcomes: number
    questions: number
    tree: TreeNode
    without_effect: {
        [k: string]: string
    }
}
export interface FaultGrade {
    family: string
    grade: number
    id: string
    look_alikes: string[]
    minutes: number
    points: number
    questions: number
    title: string
    weight: number
    windows: number
}
/**
 * A question with its answers, or the faults at an end.
 */
export interface TreeNode {
    answers?: TreeNode[]
    ask?: string
    count?: number
    faults?: string[]
    kind?: string
    shows?: string
}
export interface Nothing {}
export interface AnswerKey {
    difficulty: {
        grade: number
        minutes: number
        questions: number
        windows: number
    }
    look_alikes: string[]
    path: {
        ask: string
        shows: string
    }[]
}
export interface AssessPage {
    courses: {
        id: number
        name: string
        leader: string
        jobs: {
            id: number
            title: string
            kind: string
            done: number
            running: number
        }[]
    }[]
}
/**
 * Something round an attempt that is no act of it.
 */
export interface AttemptEvent {
    id: number
    what: string
    text: string | null
    seconds: number | null
    by: string | null
    mine: boolean
    at: string
}
export interface AuditRow {
    at: string
    act: string
    of: string
    of_id: number | null
    more: string
}
export interface AwayReply {
    given_s: number
    left_s: number | null
}
export interface BenchPage {
    attempt: number
    board: BoardData
    /**
     * the sheet, where the job is to commission
     */
    commissioning: CommissioningJob | null
    course: number
    doors: DoorShown[]
    faults: FaultName[]
    hand_up: boolean
    job: Briefing
    /**
     * seconds that this attempt still has
     */
    left_s: number | null
    log: Entry[]
    now: Reply
    past: Channels
    questions: {
        [k: string]: string
    }
    returning: {
        last: string[]
    } | null
    steps:
        | {
              id: string
              text: string
          }[]
        | null
    stopped: boolean
    told: string | null
    units: string[]
    watched: string | null
    /**
     * what there is to wire by, where the job is to wire
     */
    wiring: WiringJob | null
}
export interface BoardData {
    height: number
    ladder?: LadderData
    lanes: Lane[]
    parts: Part[]
    width: number
    wires: Wire[]
    /**
     * boards of older jobs have none
     */
    pipes?: Pipe[]
}
export interface LadderData {
    circuits: {
        height: number
        hot: string
        return: string
        rungs: {
            again: boolean
            elements: LadderElement[]
            links: string[][]
            load: string
            y: number
        }[]
        title: string
        y: number
    }[]
    height: number
    width: number
}
export interface LadderElement {
    a: string
    b: string
    load: boolean
    part: string
    title: string
    w: number
    x: number
}
export interface Lane {
    channel: string
    name: string
    tone: 'lamp' | 'moving' | 'glow' | 'copper' | 'flame' | 'water'
}
export interface Part {
    card: {
        [k: string]: string
    } | null
    controls: Control[]
    family: string
    h: number
    hands?: Hands
    id: string
    label: string
    /**
     * what moves, shines or sounds in it; boards of older jobs have none
     */
    moves?: Move[]
    /**
     * boards of older jobs have none
     */
    ports?: Port[]
    resets: boolean
    size?: number
    symbol: string
    /**
     * the middle of the symbol, where there is room for one
     *
     * @minItems 2
     * @maxItems 2
     */
    symbol_at?: [number, number]
    taps: Tap[]
    terminals: Terminal[]
    /**
     * the label in lines, and the size in which it fits; boards of older jobs have none
     */
    text?: string[]
    /**
     * the middle of the label; boards of older jobs have none
     *
     * @minItems 2
     * @maxItems 2
     */
    text_at?: [number, number]
    /**
     * how wide each line of the label is pressed, where it has not the room
     */
    text_w?: number[]
    title: string
    van?: boolean
    w: number
    x: number
    y: number
}
export interface Control {
    at: string | number
    label: string
    lever: string
    positions: string[] | null
    range: [number, number] | null
    unit: string | null
}
export interface Hands {
    batteries: boolean
    clock: boolean
    fuse: number | null
    push: boolean
    spares: string[]
    suck: boolean
    turn: boolean
    off: boolean
    warm: boolean
    lock: boolean
    leaks: boolean
    supplied: boolean
    head: boolean
    bleed: boolean
    recall: boolean
}
/**
 * What of a part moves, shines or sounds, by the channel on which it is perceived; in the place of the symbol, or at one of its own.
 */
export interface Move {
    as: 'flame' | 'shaft' | 'glow' | 'spark' | 'marker' | 'lamp' | 'click' | 'noise'
    /**
     * its middle
     *
     * @minItems 2
     * @maxItems 2
     */
    at?: [number, number]
    channel: string
    /**
     * what a lamp shows, by class
     */
    codes?: {
        [k: string]: LampCode
    }
    /**
     * a flame of oil, which is yellow when it is as it should be
     */
    oil?: boolean
}
export interface LampCode {
    lit: boolean
    /**
     * how many are counted before a pause; 0 for a steady lamp or one that flashes evenly
     */
    flashes: number
    /**
     * seconds from one flash to the next; 0 for a steady lamp
     */
    every_s: number
    colour?: string
    /**
     * what a display shows in place of a lamp
     */
    letters?: string
}
/**
 * A place on a part where a pipe, a duct, a hose or a sensor is joined.
 */
export interface Port {
    place: string
    name: string
    label: string
    medium: 'gas' | 'oil' | 'air' | 'flue' | 'water' | 'heat' | 'flame'
    x: number
    y: number
}
export interface Tap {
    instrument: AtTap
    label: string
    tap: string
}
export interface Terminal {
    edge: 'up' | 'down' | 'left' | 'right'
    /**
     * Where its name is written: the point of the anchor, on the line through the middle of the letters; boards of older jobs have none.
     */
    letters?: {
        x: number
        y: number
        anchor: 'start' | 'middle' | 'end'
        upright: boolean
    }
    name: string
    place: string
    x: number
    y: number
}
export interface Wire {
    /**
     * @minItems 2
     * @maxItems 2
     */
    bundled?: [number, number]
    cable: string | null
    colour: string
    from: string
    id: string
    points: [number, number][]
    to: string
}
export interface Pipe {
    id: string
    from: string
    to: string
    medium: 'gas' | 'oil' | 'air' | 'flue' | 'water' | 'heat' | 'flame'
    points: [number, number][]
}
/**
 * A commissioning sheet.
 */
export interface CommissioningJob {
    rows: {
        id: string
        title: string
        unit: string
        range: string
    }[]
    safeties: {
        id: string
        title: string
    }[]
}
export interface DoorShown {
    covers: string[]
    id: string
    interlock?: string
    label: string
    sight_glass?: string[]
    through?: string[]
    sealed?: boolean
}
export interface FaultName {
    family: string
    id: string
    part?: string
    title: string
    weight?: number
}
export interface Briefing {
    closes_at: string | null
    complaint: string
    id: number
    is_traced: boolean
    kind: 'practice' | 'exam' | 'warm-up' | 'demonstration' | 'free'
    minutes: number | null
    opens_at: string | null
    rules: ToldRules
    title: string
    work: 'trace' | 'return' | 'compare' | 'remote' | 'predict' | 'explain' | 'order' | 'commission' | 'wire' | 'swap'
}
/**
 * What a trainee is told of the house rules of a job.
 */
export interface ToldRules {
    barred: string[]
    flame_ua: number
    hints: {
        circuit: number
        reading: number
        where: number
    } | null
    not_passed: string[]
    papers: string[]
    pass_mark: number
    schools: {
        question: string
        way: string
    }[]
    stops: boolean
    title: string
    verify: {
        cycle: boolean
        reading: boolean
        restore: boolean
        safeties: 'none' | 'one' | 'each'
    }
    version: number
    own_sheet: boolean
    report: boolean
}
export interface Entry {
    act: {
        act: string
        [k: string]: unknown
    }
    at_s: number
    dangers: {
        [k: string]: string
    }
    id: string
    reading: Reading | null
    refused: string | null
    seen: {
        [k: string]: string
    }
    text: string
    /**
     * a hint that is still being worked out
     */
    waits?: boolean
}
export interface Reading {
    least?: number | null
    live: boolean
    low?: boolean
    mode: string
    most?: number | null
    range?: number
    step: number
    text: string
    unsteady?: boolean
    value: number | null
}
export interface Reply {
    ahead: Channels
    entry: Entry | null
    handed_back: boolean
    now_s: number
    passed: Channels
    scene: Scene
    tried?: string[]
    until_s: number
}
export interface Channels {
    meter: MeterStretch[]
    perceived: {
        [k: string]: Stretch[]
    }
}
/**
 * What a settled display shows; `of` is the dial and the leads, `settles_s` how long a change takes to be shown.
 */
export interface MeterStretch {
    from: number
    of?: string
    reading: Reading
    settles_s?: number
    to: number
}
export interface Stretch {
    from: number
    say: string
    to: number
    value: string
}
export interface Scene {
    at_taps: {
        gauge?: string
        probe?: string
        draught?: string
        analyser?: string
        smoke?: string
        oil_gauge?: string
    }
    battery: 'good' | 'low'
    black: string | null
    blown: string[]
    clamp: Jaw | null
    eyes: string | null
    heads: string[]
    held: string[]
    installed: string[]
    jumpers: [string, string][]
    keeping: boolean
    labour: number
    lifted: string[]
    locked: string[]
    logged: [string, string][]
    logger_mode: string
    mode: Mode
    off: string[]
    open: string[]
    range: number | null
    red: string | null
    tagged: boolean
    wired: [string, string][]
    /**
     * what is on the sound twin, where there is one
     */
    twin?: {
        black: string | null
        eyes: string | null
        held: string[]
        open: string[]
        red: string | null
    } | null
}
export interface Jaw {
    turns: number
    wires: string[]
}
/**
 * A job of wiring.
 */
export interface WiringJob {
    /**
     * the sequence in sentences
     */
    described: string[]
    /**
     * how it was wired before
     */
    picture: BoardData | null
    colours: string[]
    gauges: number[]
    /**
     * gauges are mm², and not AWG
     */
    metric: boolean
    /**
     * wires of the drawing that are not there
     */
    missing: number
    /**
     * of a new control which terminal takes the place of which; null: nothing is swapped
     */
    leaflet:
        | {
              to: string
              from: string
          }[]
        | null
    /**
     * the new control
     */
    part: string | null
    /**
     * times of the control that was taken off, as they are printed on it
     */
    card: string[]
}
export interface BenchesStopped {
    benches: number
}
export interface Best {
    bits: number
    black: string | null
    kind: string
    red: string
    text: string
    /**
     * how it would part those that stand; debriefs from before have none
     */
    splits?: string
}
/**
 * A board in few lines: parts as boxes (left, top, width, height), wires in their colours.
 */
export interface BoardPicture {
    width: number
    height: number
    parts: number[][]
    wires: {
        colour: string
        points: [number, number][]
    }[]
}
export interface BuilderPage {
    catalogue: KindFound[]
    draft: number
    models: Includable[]
    presence: Presence
    start: DraftData
    may_edit: boolean
    by: string
}
export interface KindFound {
    family: string
    kind: string
    own: boolean
    /**
     * @minItems 2
     * @maxItems 2
     */
    size: [number, number]
    symbol: string
    terminals: string[]
    title: string
    /**
     * what else it answers to
     */
    words: string
    /**
     * shipped models that have one
     */
    used: number
}
export interface Includable {
    name: string
    ports: string[]
    title: string
}
export interface Presence {
    by: string | null
    others: string[]
    step: number
}
export interface DraftData {
    board: BoardData
    document: Doc
    published: number | null
    redo: boolean
    settings: {
        [k: string]: Settings
    }
    step: number
    title: string
    undo: boolean
    /**
     * in answer to what had been made already: all of it
     */
    whole?: true
}
/**
 * A model's document as far as the builder shows it; its format is docs/formats.md.
 */
export interface Doc {
    as_built?: {
        end?: string
        on?: string
        tag?: string
        wire?: string
    }[]
    compounds?: {
        faults: string[]
        title?: string
        weight: number
    }[]
    doors?: {
        covers: string[]
        id: string
        label: string
        interlock?: string
        sight_glass?: string[]
        through?: string[]
        sealed?: boolean
    }[]
    found?: {
        /**
         * @minItems 2
         * @maxItems 2
         */
        jumper?: [string, string]
        mode: string
        part: string
        weight: number
        end?: string
        on?: string
        /**
         * @minItems 2
         * @maxItems 2
         */
        swapped?: [string, string]
    }[]
    groups?: string[][]
    includes?: {
        /**
         * @minItems 2
         * @maxItems 2
         */
        by?: [number, number]
        id: string
        model: string
    }[]
    notes?: string
    parts: DocPart[]
    plate?: Plate
    process: {
        [k: string]: {
            type: string
        }
    }
    readings?: ExpectedReading[]
    supply: {
        hertz: number
        region: 'NA' | 'EU'
        volts: number
    }
    tape: {
        channel: string
        name: string
        tone: string
    }[]
    title: string
    universe?: {
        wire_modes?: {
            [k: string]: {
                title: string
                [k: string]: unknown
            }
        }
        [k: string]: unknown
    }
    visits: {
        [k: string]: DocVisit
    }
    weights?: {
        [k: string]: number
    }
    wires: DocWire[]
    [k: string]: unknown
}
export interface DocPart {
    /**
     * @minItems 2
     * @maxItems 2
     */
    at: [number, number]
    id: string
    kind: string
    label: string
    links?: {
        [k: string]: string
    }
    params?: {
        [k: string]: {
            [k: string]: unknown
        }
    }
    van?: boolean
}
export interface Plate {
    part: string
    fuel: 'natural-gas' | 'propane' | 'oil'
    input: number
    manifold_in_wc?: number
    rise_low?: number
    rise_high?: number
    static_in_wc?: number
    fuse_a?: number
    flue?: string
}
export interface ExpectedReading {
    at_s: number
    black?: string
    fault?: string
    least?: number
    mode?: string
    most?: number
    red?: string
    tap?: string
    visit: string
}
export interface DocVisit {
    appears_s?: number
    arrives: {
        after_s: number
        unlike?: {
            [k: string]: string
        }
        at_most_s?: number
    }
    household: Doing[]
    notices_s: number
    title: string
}
export interface Doing {
    at_s: number
    door?: string
    lever?: string
    part?: string
    reset?: string
    to?: string | number
}
export interface DocWire {
    awg?: number
    cable?: string
    celsius?: number
    colour: string
    feet?: number
    from: string
    id: string
    metres?: number
    mm2?: number
    modes?: string[]
    near?: string
    tag?: string
    to: string
    via?: [number, number][]
}
export interface Settings {
    contacts: string[]
    kind: string
    linked: {
        [k: string]: string
    }
    links: string[]
    params: Parameter[]
    plungers: string[]
    resets: string[]
    tables: {
        [k: string]: TableShown
    }
}
export interface Parameter {
    choices: string[] | null
    key: string
    label: string
    least: number | null
    most: number | null
    primitive: string
    unit: string
    usual: number | string | boolean
    value: number | string | boolean
    varies: boolean
}
export interface TableShown {
    changed: string[]
    inputs: string[]
    remarks: {
        pointer: string
        text: string
    }[]
    table: TableDoc
    words: {
        lamp?: string
        lines: string[]
        outputs?: string[]
        state: string
        title?: string
    }[]
}
export interface TableDoc {
    fuel?: {}
    remembers?: {}
    start: string
    states: {
        [k: string]: TableRow
    }
    supply?: string
    table?: string
    times: {
        [k: string]: number
    }
    title: string
    version?: number
}
export interface TableRow {
    guards: Guard[]
    held_s?: number
    lamp: string
    levels?: {}
    outputs: string[]
    reset?: string
    title: string
    until_power?: boolean
}
export interface Guard {
    after?: string
    count?: {
        [k: string]: number
    }
    do?: {
        [k: string]: string
    }
    go: string
    if?: {
        [k: string]: boolean
    }
    timer?: {
        [k: string]: string
    }
}
export interface Change {
    at: string | null
    by: string
    points: number | null
    reason: string
}
export interface Checked {
    circuits: Circuit[]
    findings: Finding[]
    lacks: {
        pointer: string
        text: string
    }[]
    open: {
        part: string
        title: string
        words: string
        input?: boolean
    }[]
    step: number
}
export interface Circuit {
    class: string
    hot: string
    loads: CircuitLoad[]
    return: string
    title: string
}
export interface CircuitLoad {
    load: string
    part: string
    parts: string[]
    proves: string | null
    title: string
    ways: number
    wires: string[]
    words: string
}
export interface Finding {
    edits: Edit[]
    grade: 'wrong' | 'odd'
    mend: string
    parts: string[]
    rule: string
    text: string
    why: string
    wires: string[]
    /**
     * what its edits do, in a sentence
     */
    does: string
    /**
     * why somebody has put it aside
     */
    accepted: string | null
}
/**
 * An edit that mends a finding, as core/schema/edits.json has it.
 */
export interface Edit {
    do: string
    [k: string]: unknown
}
export interface ConfirmPage {
    to: string
}
export interface Confirmed {
    confirmed: boolean
}
export interface Course {
    id: number
    name: string
    trainees_count: number
}
export interface CourseInFull {
    id: number
    name: string
    leads: boolean
    leader: string
    staff: {
        id: number
        name: string
        part: 'teaches' | 'marks'
    }[]
    code: string | null
    code_until: string | null
    trainees: CourseTrainee[]
}
export interface CourseTrainee {
    id: number
    name: string
    signs_in_as: string
    invited_until: string | null
}
export interface DebriefData {
    bits: number
    entries: DebriefEntry[]
    lost: Turn[]
    same: string[]
    won: Turn[]
    entered: string[]
    report: {
        label: string
        text: string
    }[]
}
export interface DebriefEntry {
    act: string
    after: number
    at_s: number
    before: number
    best: Best[]
    bits_after: number
    bits_before: number
    dangers: string[]
    done: {
        act: string
        [k: string]: unknown
    } | null
    families: {
        after: number
        before: number
        family: string
    }[]
    flaws: string[]
    gained: number
    left: {
        [k: string]: number
    }
    share: number | null
    text: string
    watched: number
    worth: number
}
export interface Turn {
    bits: number
    entry: number
    text: string
}
export interface DebriefPage {
    attempt: number
    board: BoardData
    debrief: DebriefData
    doors: DoorShown[]
    engine: {
        now: number
        then: number
    }
    fault: {
        id: string
        parts: string[]
        title: string
    }
    job: Briefing
    judges: boolean
    lanes: Lane[]
    mark: MarkData
    others: OtherMark[]
    pairs: PairsState | null
    past: Channels
    perfect: number[] | null
    titles: {
        [k: string]: string
    }
    trainee: string
    contest: {
        reason: string
        first: number | null
        second: number | null
        open: boolean
        marks: boolean
    } | null
    may_contest: boolean
    noted: AttemptEvent[]
    /**
     * what the verdict of the mark says
     */
    verdict: string
}
export interface MarkData {
    call_back: {
        hours: number
        said: string[]
    }
    hints: {
        points: number
        taken: {
            [k: string]: number
        }
    }
    lines: MarkLine[]
    not_passed: string[]
    passed: boolean
    rules: {
        name: string
        pass_mark: number
        title: string
        version: number
    }
    total: number
    verdict: string
    habits?: {
        text: string
        entry: number | null
    }[]
}
export interface MarkLine {
    history?: Change[]
    id: string
    override?: {
        by: string
        computed: number
        reason: string
    }
    points: number
    share: number
    title: string
    weight: number
    why: Why[]
}
export interface Why {
    entry: number | null
    text: string
}
export interface OtherMark {
    at: string | null
    lines: {
        points: number
        title: string
        weight: number
    }[]
    passed: boolean
    rules: {
        pass_mark: number
        title: string
        version: number
        name?: string
    }
    total: number
}
export interface PairsState {
    error?: string | null
    left?: number
    likeliest?: {
        share: number
        title: string
    }[]
    of?: number
    run?: number
    share?: number
}
export interface DoneJob {
    attempt: number
    title: string
    at: string
    total: number | null
    passed: boolean | null
}
/**
 * What comes back of an edit: of the board and the settings only what has changed.
 */
export interface DraftReply {
    board: {
        height: number
        ladder?: LadderData
        lanes: Lane[]
        width: number
        pipes?: Pipe[]
    }
    changed: {
        parts: Part[]
        wires: Wire[]
    }
    document: {
        as_built?: {
            end?: string
            on?: string
            tag?: string
            wire?: string
        }[]
        compounds?: {
            faults: string[]
            title?: string
            weight: number
        }[]
        doors?: {
            covers: string[]
            id: string
            label: string
            interlock?: string
            sight_glass?: string[]
            through?: string[]
            sealed?: boolean
        }[]
        found?: {
            /**
             * @minItems 2
             * @maxItems 2
             */
            jumper?: [string, string]
            mode: string
            part: string
            weight: number
            end?: string
            on?: string
            /**
             * @minItems 2
             * @maxItems 2
             */
            swapped?: [string, string]
        }[]
        groups?: string[][]
        includes?: {
            /**
             * @minItems 2
             * @maxItems 2
             */
            by?: [number, number]
            id: string
            model: string
        }[]
        notes?: string
        process: {
            [k: string]: {
                type: string
            }
        }
        supply: {
            hertz: number
            region: 'NA' | 'EU'
            volts: number
        }
        tape: {
            channel: string
            name: string
            tone: string
        }[]
        title: string
        visits: {
            [k: string]: DocVisit
        }
        weights?: {
            [k: string]: number
        }
        plate?: Plate
        readings?: ExpectedReading[]
        [k: string]: unknown
    }
    gone: {
        parts: string[]
        wires: string[]
    }
    order: {
        parts: string[]
        wires: string[]
    }
    published: number | null
    redo: boolean
    settings: {
        [k: string]: Settings
    }
    step: number
    title: string
    told: {
        parts: DocPart[]
        wires: DocWire[]
    }
    undo: boolean
}
export interface DraftRow {
    at: string
    by: string | null
    id: number
    mine: boolean
    published: boolean
    steps: number
    title: string
    name: string
    shares: Sharing[]
}
/**
 * With whom something is shared: those who teach in a class, or all who teach.
 */
export interface Sharing {
    course: number | null
    may: 'read' | 'edit'
}
export interface DraftStep {
    at: string
    by: string | null
    label: string | null
    number: number
    words: string
}
export interface DraftsPage {
    drafts: DraftRow[]
    models: Includable[]
    courses: SharingCourse[]
}
export interface SharingCourse {
    id: number
    name: string
}
export interface DriftState {
    apart:
        | {
              entry: number
              now: string
              shown: string
          }[]
        | null
    error?: string | null
}
export interface Ended {
    ended: boolean
}
export interface EnrolUndone {
    people: number
}
export interface Enrolled {
    batch: string
    people: PersonalLink[]
}
/**
 * A link with which one person sets a password, once; shown when it is made and kept nowhere.
 */
export interface PersonalLink {
    name: string
    signs_in_as: string
    link: string
}
export interface Facets {
    supply: string
    fuel: string
    ignition: string
    heats: string
}
export interface FaultRow {
    id: string
    title: string
    weight: number
}
export interface FaultsReply {
    faults: FaultRow[]
}
export interface GivenJob {
    complaint: string
    course: string
    done: number
    given: number
    id: number
    kind: 'practice' | 'exam' | 'warm-up' | 'demonstration' | 'free'
    rules: ToldRules
    running: number
    title: string
    opens_at: string | null
    closes_at: string | null
    minutes: number | null
    faults: number
    work: 'trace' | 'return' | 'compare' | 'remote' | 'predict' | 'explain' | 'order' | 'commission' | 'wire' | 'swap'
    is_traced: boolean
}
export interface GradebookPage {
    course: {
        id: number
        name: string
    }
    jobs: {
        id: number
        title: string
        kind: string
    }[]
    competencies: string[]
    people: GradedPerson[]
    hard: HardCompetency[]
}
export interface GradedPerson {
    id: number
    name: string
    marks: GradedMark[]
    competencies:
        | {
              [k: string]: Proficiency
          }
        | unknown[]
    next: NextCompetency
}
export interface GradedMark {
    job: number
    attempt: number
    total: number | null
    passed: boolean | null
}
/**
 * The mean of what was shown over so many jobs, 0 to 1, with Wilson's interval at 95 %.
 */
export interface Proficiency {
    jobs: number
    share: number
    low: number
    high: number
}
export interface NextCompetency {
    competency: string
    why: string
}
export interface HardCompetency {
    competency: string
    jobs: number
    share: number
    low: number
    high: number
}
export interface HandState {
    up: boolean
}
export interface HintState {
    entry: Entry
    error: string | null
    share?: number
}
export interface JobInFull {
    complaint: string
    course: string
    fault: string
    hash: string
    id: number
    key: AnswerKey | null
    kind: 'practice' | 'exam' | 'warm-up' | 'demonstration' | 'free'
    rules: ToldRules
    title: string
    model: string
    /**
     * what the household lived through before the trainee came
     */
    visit: string
    opens_at: string | null
    closes_at: string | null
    minutes: number | null
    work: 'trace' | 'return' | 'compare' | 'remote' | 'predict' | 'explain' | 'order' | 'commission' | 'wire' | 'swap'
    is_traced: boolean
}
export interface JobPage {
    job: JobInFull
    own: TraineeRow
    rows: TraineeRow[]
    sets: {
        id: number
        title: string
    }[]
    may_set: boolean
    pool: {
        id: number
        fault: string
        trainees: number
    }[]
    after: {
        title: string
        mark: number | null
    } | null
    classes: SharingCourse[]
}
export interface TraineeRow {
    attempt: number | null
    entries: number
    handed_back: boolean
    marking: {
        error?: string | null
        share?: number
    } | null
    name?: string
    others: {
        passed: boolean
        title: string
        total: number
    }[]
    passed: boolean | null
    total: number | null
    verdict: string | null
    id?: number
    /**
     * what this person has beyond the others
     */
    extra_minutes?: number
}
export interface JoinPage {
    least: number
}
export interface KindMade {
    id: number
    kind: KindShown
}
export interface KindShown {
    kind: string
    title: string
    terminals: {
        [k: string]: {}
    }
    primitives: {
        [k: string]: {
            type: string
            [k: string]: unknown
        }
    }
    modes: {
        [k: string]: {
            title: string
            [k: string]: unknown
        }
    }
    [k: string]: unknown
}
export interface KindsPage {
    kinds: OwnKindRow[]
    tables: StockTable[]
    types: string[]
    courses: SharingCourse[]
}
export interface OwnKindRow {
    document: KindShown
    id: number
    title: string
    mine: boolean
    shares: Sharing[]
    name: string
}
export interface StockTable {
    inputs: string[]
    name: string
    outputs: string[]
    title: string
}
export interface LabChange {
    part: string
    label: string
    figure: string
    unit: string
    was: number
    becomes: number
    edit: {
        [k: string]: unknown
    }
}
export interface LabCompared {
    rows: LabRow[]
}
export interface LabRow {
    id: number
    shows: string | null
    model: number | null
    agrees: boolean
    says: string | null
}
export interface LabFit {
    changes: LabChange[]
    before: LabRow[]
    after: LabRow[]
}
export interface LabPage {
    model: {
        id: number
        title: string
    }
    readings: LabReading[]
    compared: number
    visits: {
        [k: string]: string
    }
    faults: {
        id: string
        title: string
    }[]
    modes: {
        mode: string
        title: string
        unit: string
    }[]
    taps: {
        tap: string
        title: string
        unit: string
    }[]
    places: {
        place: string
        title: string
    }[]
}
export interface LabReading {
    id: number
    mine: boolean
    is_in: string
    unit: string
    date: string
    by: string
    meter: string
    visit: string
    at_s: number
    fault: string
    mode: string
    red: string
    black: string
    tap: string
    value: number
    note: string
}
export interface LadderReply {
    ladder: LadderData
}
export interface MarkAgainState {
    done: number
    errors: string[]
    of: number
    share: number
}
export interface MarkingPage {
    attempt: number
    job: Briefing
    trainee: string
}
export interface MarkingState {
    error: string | null
    marked: boolean
    share: number
}
export interface Me {
    id: number
    name: string
    role: 'administrator' | 'assessor' | 'instructor' | 'trainee'
    confirmed_s: number
}
export interface ModelPage {
    board: BoardData
    courses: {
        id: number
        name: string
        trainees: {
            id: number
            name: string
        }[]
    }[]
    faults: FaultName[]
    healthy: Preview
    model: {
        id: number
        notes: string
        title: string
        about: {
            author: string | null
            licence: string | null
        }
    }
    rules: {
        id: number
        stops: boolean
        title: string
    }[]
    tables: SequenceTable[]
    visits: {
        [k: string]: string
    }
    free: number[]
    before: {
        id: number
        title: string
        course: number
    }[]
    comes_with: {
        title: string
        fault: string
        visit: string
        kind: 'practice' | 'exam'
    }[]
    templates: {
        id: number
        name: string
        title: string
        by: string | null
        may_change: boolean
        shares: Sharing[]
        job: {
            fault: string
            pool: string[]
            visit: string
            kind: string
            complaint: string
            low_battery: boolean
            worn_leads: boolean
            stops: boolean
            rules: number | null
            minutes: number | null
            wires: 'all' | 'control' | 'some'
            shown: 'drawing' | 'picture' | 'sequence'
            work:
                | 'trace'
                | 'return'
                | 'compare'
                | 'remote'
                | 'predict'
                | 'explain'
                | 'order'
                | 'commission'
                | 'wire'
                | 'swap'
            many: number
        }
    }[]
}
export interface Preview {
    complaint: {
        id: string
        text: string
    }[]
    meter: MeterStretch[]
    perceived: {
        [k: string]: Stretch[]
    }
    states: {
        at: number
        state: string
        title: string
    }[]
    until_s: number
}
export interface SequenceTable {
    part: string
    remarks: {
        pointer: string
        text: string
    }[]
    states: {
        lamp: string
        lines: string[]
        outputs: string[]
        state: string
        title: string
    }[]
    title: string
}
export interface ModelRow {
    faults: number
    id: number
    notes: string
    parts: number
    title: string
    wires: number
    facets: Facets
    picture: BoardPicture
}
export interface ModelsPage {
    models: ModelRow[]
}
export interface MyJobsPage {
    jobs: OwnJob[]
    open: {
        course: number
        appliance: number
        title: string
    }[]
}
export interface OwnJob {
    attempt: number | null
    complaint: string
    handed_back: boolean
    id: number
    kind: 'practice' | 'exam' | 'warm-up' | 'demonstration' | 'free'
    passed: boolean | null
    rules: ToldRules
    title: string
    total: number | null
    opens_at: string | null
    closes_at: string | null
    minutes: number | null
    /**
     * it is open to this person now
     */
    can_begin: boolean
    why_not: string | null
    work: 'trace' | 'return' | 'compare' | 'remote' | 'predict' | 'explain' | 'order' | 'commission' | 'wire' | 'swap'
    is_traced: boolean
}
export interface OpenLinkPage {
    token: string
    least: number
    who: {
        name: string
        signs_in_as: string
    } | null
}
export interface PeoplePage {
    courses: CourseInFull[]
    colleagues: {
        id: number
        name: string
        teaches: boolean
    }[]
    done: AuditRow[]
}
/**
 * An account as an administrator sees it.
 */
export interface Person {
    id: number
    name: string
    signs_in_as: string
    role: 'administrator' | 'instructor' | 'assessor' | 'trainee'
    second_factor: boolean
    closed: boolean
    seen: string | null
}
/**
 * All that is kept about somebody.
 */
export interface PersonData {}
export interface PlanPage {
    course: {
        id: number
        name: string
    }
    classes: SharingCourse[]
    may_copy: boolean
    jobs: {
        id: number
        title: string
        kind: string
        pool: boolean
        opens_at: string | null
        closes_at: string | null
        minutes: number | null
        given_at: string
        after: string | null
        trainees: number
        done: number
    }[]
}
export interface ProgressPage {
    competencies:
        | {
              [k: string]: Proficiency
          }
        | unknown[]
    next: NextCompetency
    done: DoneJob[]
}
/**
 * A key for an authenticator, and the URI that it reads from a picture.
 */
export interface ProposedFactor {
    key: string
    uri: string
}
export interface Published {
    appliance: number
}
export interface ReadingOutcome {
    holds: boolean | null
    says: string | null
    shows: string | null
    value: number | null
}
export interface ReadingsRun {
    readings: ReadingOutcome[]
    step: number
}
export interface Reason {
    because: Reason[]
    /**
     * what of the part, as a plan has it
     */
    id: string | null
    part: string | null
    text: string
}
/**
 * Codes for when the authenticator is lost: shown this once, each good once.
 */
export interface RecoveryCodes {
    codes: string[]
}
export interface ReferencePage {
    groups: {
        rows: {
            source: string
            value: string
            what: string
        }[]
        title: string
    }[]
    sums: {
        [k: string]: Sum
    }
}
export interface Sum {
    formula: string
    inputs: {
        [k: string]: SumInput
    }
    source: string
    title: string
}
export interface SumInput {
    at: number
    choices?: number[]
    label: string
    least: number
    most: number
    unit: string
}
export interface RosterPreview {
    rows: RosterRow[]
}
export interface RosterRow {
    line: number
    name: string
    mail: string
    error: string | null
}
export interface RosterText {
    csv: string
}
export interface RuleSet {
    document: RulesDocument
    id: number
    shipped: boolean
    versions: {
        at: string | null
        version: number
    }[]
    mine: boolean
    shares: Sharing[]
}
export interface RulesDocument {
    barred: string[]
    budget: {
        call_backs: number
        minutes: number
        parts: number
    }
    hints: {
        [k: string]: number
    }
    name: string
    not_passed: string[]
    odd_spark_rules: number
    papers: string[]
    pass_mark: number
    schools: {
        [k: string]: string | number
    }
    stops: string[]
    title: string
    verify: {
        cycle: boolean
        reading: boolean
        restore: boolean
        safeties: 'none' | 'one' | 'each'
    }
    version: number
    weights: {
        [k: string]: number
    }
    own_sheet?: boolean
}
export interface RulesPage {
    barrable: {
        [k: string]: string
    }
    caps: {
        [k: string]: string
    }
    chosen: string
    dangers: {
        [k: string]: string
    }
    lines: {
        [k: string]: string
    }
    schools: {
        [k: string]: {
            [k: string]: string
        }
    }
    sets: RuleSet[]
    questions: {
        [k: string]: string
    }
    courses: SharingCourse[]
    /**
     * lines of other work than tracing a fault
     */
    other_work: WorkLines[]
}
/**
 * Judged lines of one kind of work.
 */
export interface WorkLines {
    title: string
    lines: {
        [k: string]: string
    }
}
export interface RulesPreview {
    id: number
    state: string
    share: number
    doing: string
    error: string | null
    rows:
        | {
              attempt: number
              trainee: string
              job: string
              old: {
                  total: number
                  passed: boolean
                  rules: string
              }
              new: {
                  total: number
                  passed: boolean
                  not_passed: string[]
              }
          }[]
        | null
}
export interface RunMoment {
    askable: {
        id: string
        on: boolean
        title: string
    }[]
    volts: {
        [k: string]: {
            against: string
            dc: boolean
            volts: number
        }
    }
}
export interface RunTape {
    meter: MeterStretch[]
    perceived: {
        [k: string]: Stretch[]
    }
    states: {
        at: number
        state: string
        title: string
    }[]
    until_s: number
    visit: string
    visits: {
        [k: string]: string
    }
}
export interface Said {
    event: AttemptEvent
}
export interface SaidAll {
    events: AttemptEvent[]
}
export interface SchoolPage {
    people: Person[]
    q: string
    found: Person[]
    courses: {
        id: number
        name: string
        leader: number
        trainees: number
    }[]
    settled: Settled
    mails: boolean
    audit: {
        at: string
        actor: number | null
        act: string
        of: string
        of_id: number | null
        more: string
    }[]
}
export interface Settled {
    second_factor: 'offered' | 'asked'
    idle_minutes: {
        administrator: number
        instructor: number
        assessor: number
        trainee: number
    }
    keep_months: number
}
export interface SecondFactorPage {
    digits: number
}
export interface Shared {
    flash: string | null
    instruments: {
        gauge: string
        probe: string
        draught: string
        analyser: string
        smoke: string
        oil_gauge: string
    }
    me: Me | null
}
export interface ShopPage {
    courses: Course[]
    jobs: GivenJob[]
    models: {
        id: number
        name: string
        title: string
    }[]
    sets: number
    growing: number | null
}
export interface SignInPage {
    mails: boolean
}
export interface SumResult {
    digits: number
    label: string
    unit: string
    value: number
}
export interface TaskState {
    doing: string
    error: string | null
    id: number
    share: number
    state: string
    goes: string | null
}
export interface TaskTold {
    doing: string
    error: string | null
    id: number
    share: number
    state: string
}
export interface WallCurves {
    rows: WallRow[]
}
/**
 * One at the bench, as the wall shows him.
 */
export interface WallRow {
    attempt: number
    user: number
    name: string
    job: string
    exam: boolean
    entries: number
    last: string | null
    last_s: number
    unsafe: string | null
    hand_s: number | null
    stopped: boolean
    left_page: number
    curve: number[]
    done: boolean
    /**
     * at a bench that can be looked at; else at a sheet
     */
    at_bench: boolean
    /**
     * a fault is looked for, so there are suspects
     */
    suspects: boolean
}
export interface WallPage {
    course: {
        id: number
        name: string
    }
    stopped: boolean
    may_act: boolean
    rows: WallRow[]
}
export interface WorkingPage {
    back: string
    goes: string
    isFile: boolean
    task: TaskTold
    title: string
}
/**
 * What was said of a reading; what became of it is told at once in practice, and after the hand-in in an examination.
 */
export interface Foretold {
    /**
     * null: OL
     */
    figure: number | null
    right: boolean | null
    shown: string | null
    why: string | null
}
export interface Predicted {
    item: number
    said: Foretold
}
export interface SheetClosed {
    goes: string
}
export interface AskedRow {
    at_s: number
    when: string
    /**
     * what can be seen and heard then
     */
    told: string[]
    mode: string
    red: string
    black: string
    red_name: string
    black_name: string
    said: Foretold | null
    hints: string[]
}
export interface PredictPage {
    attempt: number
    job: Briefing
    left_s: number | null
    stopped: boolean
    /**
     * what is wrong with it; null: nothing
     */
    fault: string | null
    board: BoardData
    doors: DoorShown[]
    rows: AskedRow[]
    hand_up: boolean
}
export interface PredictionHint {
    item: number
    /**
     * grades that were taken of this reading
     */
    taken: number
    text: string
}
export interface ExplainPage {
    attempt: number
    job: Briefing
    left_s: number | null
    stopped: boolean
    /**
     * what is wrong with it; null: nothing
     */
    fault: string | null
    board: BoardData
    doors: DoorShown[]
    pickable: Pickable[]
    past: Channels
    rows: AskedLoad[]
    hand_up: boolean
}
/**
 * Something that a part is made of.
 */
export interface Pickable {
    id: string
    part: string
    title: string
}
/**
 * A load that is off, and why is asked.
 */
export interface AskedLoad {
    at_s: number
    load: string
    title: string
    said: PickedAnswer | null
    hints: string[]
}
export interface PickedAnswer {
    picked: string[]
    right: boolean | null
    why: string | null
}
export interface Answered {
    item: number
    said: PickedAnswer
}
export interface OrderPage {
    attempt: number
    job: Briefing
    left_s: number | null
    stopped: boolean
    board: BoardData
    doors: DoorShown[]
    rows: AskedOfSequence[]
    hand_up: boolean
}
/**
 * Something asked of a sequence: choices to be picked from, or to be put in order.
 */
export interface AskedOfSequence {
    sort: 'order' | 'proof' | 'next' | 'if' | 'chart' | 'stopped' | 'why'
    prompt: string
    choices: {
        id: string
        text: string
    }[]
    lanes: SequenceLane[]
    until_s: number
    said: PickedAnswer | null
    hints: string[]
}
export interface SequenceLane {
    title: string
    /**
     * ms from and to
     */
    stretches: number[][]
}
export interface JudgingPage {
    sections: {
        html: string
        id: string
        title: string
    }[]
}
