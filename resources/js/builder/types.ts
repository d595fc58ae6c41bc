import type { BoardData, Channels, Part, Wire } from '@/lib/types'

export interface DocPart {
    id: string
    kind: string
    label: string
    at: [number, number]
    links?: Record<string, string>
    params?: Record<string, Record<string, unknown>>
}
export interface DocWire {
    id: string
    from: string
    to: string
    colour: string
    awg?: number
    feet?: number
    mm2?: number
    metres?: number
    tag?: string
    cable?: string
    via?: [number, number][]
    modes?: string[]
}
export interface Visit {
    title: string
    appears_s?: number
    notices_s: number
    household: { at_s: number; part: string; lever: string; to: string | number }[]
    arrives: { after_s: number }
}
/** A model's document as far as the builder shows it; its format is docs/formats.md. */
export interface Doc {
    title: string
    notes?: string
    supply: { region: 'NA' | 'EU'; volts: number; hertz: number }
    parts: DocPart[]
    wires: DocWire[]
    groups?: string[][]
    includes?: { id: string; model: string; by?: [number, number] }[]
    process: Record<string, { type: string } & Record<string, unknown>>
    tape: { channel: string; name: string; tone: string }[]
    visits: Record<string, Visit>
    weights?: Record<string, number>
    compounds?: { faults: string[]; weight: number; title?: string }[]
    found?: { part: string; mode: string; weight: number; jumper?: [string, string] }[]
    as_built?: { end?: string; on?: string; wire?: string; tag?: string }[]
    doors?: { id: string; label: string; covers: string[] }[]
}

export interface Parameter {
    primitive: string
    key: string
    label: string
    unit: string
    usual: number | string | boolean
    value: number | string | boolean
    least: number | null
    most: number | null
    choices: string[] | null
}
export interface TableRow {
    title: string
    outputs: string[]
    lamp: string
    guards: Guard[]
    reset?: string
}
export interface Guard {
    if?: Record<string, boolean>
    after?: string
    count?: Record<string, number>
    timer?: Record<string, string>
    do?: Record<string, string>
    go: string
}
export interface TableDoc {
    title: string
    start: string
    times: Record<string, number>
    states: Record<string, TableRow>
}
export interface TableShown {
    table: TableDoc
    inputs: string[]
    changed: string[]
    words: { state: string; lines: string[] }[]
    remarks: { pointer: string; text: string }[]
}
export interface Settings {
    kind: string
    contacts: string[]
    links: string[]
    linked: Record<string, string>
    params: Parameter[]
    tables: Record<string, TableShown>
}

export interface Draft {
    step: number
    title: string
    document: Doc
    board: BoardData
    undo: boolean
    redo: boolean
    published: number | null
    settings: Record<string, Settings>
}
/** What comes back of an edit: of the board and the settings only what has changed. */
export type DraftReply = Omit<Draft, 'board' | 'document'> & {
    document: Omit<Doc, 'parts' | 'wires'>
    told: { parts: DocPart[]; wires: DocWire[] }
    order: { parts: string[]; wires: string[] }
    board: Omit<BoardData, 'parts' | 'wires'>
    changed: { parts: Part[]; wires: Wire[] }
    gone: { parts: string[]; wires: string[] }
}

export type Edit = { do: string } & Record<string, unknown>
export interface KindFound {
    kind: string
    title: string
    family: string
    symbol: string
    own: boolean
    size: [number, number]
    terminals: string[]
}
export interface Finding {
    rule: string
    grade: 'wrong' | 'odd'
    parts: string[]
    wires: string[]
    text: string
    why: string
    mend: string
    edits: Edit[]
}
export interface CircuitLoad {
    part: string
    title: string
    load: string
    proves: string | null
    ways: number
    words: string
    parts: string[]
    wires: string[]
}
export interface Circuit {
    title: string
    class: string
    hot: string
    return: string
    loads: CircuitLoad[]
}
export interface Checked {
    step: number
    findings: Finding[]
    lacks: { pointer: string; text: string }[]
    circuits: Circuit[]
    open: { part: string; title: string; words: string }[]
}
export interface Reason {
    text: string
    part: string | null
    because: Reason[]
}
export interface RunTape extends Channels {
    visit: string
    visits: Record<string, string>
    until_s: number
    states: { at: number; state: string; title: string }[]
}
export interface Moment {
    volts: Record<string, { volts: number; against: string; dc: boolean }>
    askable: { id: string; title: string; on: boolean }[]
}
export interface Acted {
    fire_s: number | null
    safeties: { part: string; title: string; stops: boolean; after_s: number | null; words: string }[]
}
export interface Step {
    number: number
    words: string
    label: string | null
    by: string | null
    at: string
}
export interface Presence {
    step: number
    others: string[]
    by: string | null
}
export interface Includable {
    name: string
    title: string
    ports: string[]
}
