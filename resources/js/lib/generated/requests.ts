// Written by npm run generate from contract/requests.json; not to be changed by hand.

export interface AnalysisRequest {
    visit?: string | null
}
export interface AwayRequest {
    what: 'page' | 'connection'
    seconds: number
}
export interface ClosedRequest {
    closed: boolean
}
export interface CodeRequest {
    code: string
}
export interface ConfirmRequest {
    current_password: string
}
export interface ConfirmingRequest {
    to?: string | null
}
export interface ContestRequest {
    reason: string
}
export interface CopyJobRequest {
    course: number
}
export interface CopyPlanRequest {
    to: number
    starts_on: string
}
export interface CourseRequest {
    name: string
}
export interface CourseStaffRequest {
    user: number
    part: 'teaches' | 'marks'
}
export interface DifferenceRequest {
    from: number
    to: number
}
export interface DraftRequest {
    title?: string | null
    region?: 'NA' | 'EU' | null
    model?: string | null
    file?: string | null
    id?: string | null
}
export interface EditsRequest {
    upon: number
    /**
     * @minItems 1
     * @maxItems 200
     */
    edits: {}[]
    id?: string | null
}
export interface ExtraMinutesRequest {
    minutes: number
}
export interface ForgetRequest {
    keep_marks: boolean
}
export interface ForgotRequest {
    email: string
}
export interface FreeBenchRequest {
    course: number
    open: boolean
}
export interface GiveHintRequest {
    grade: 'where' | 'circuit' | 'reading'
}
export interface GoRequest {
    upon: number
    way: 'undo' | 'redo' | 'tidy'
}
export interface HandRequest {
    up: boolean
}
export interface JobRequest {
    appliance: number
    course: number
    /**
     * @maxItems 600
     */
    trainees: number[]
    title: string
    fault: string
    visit: string
    kind: 'practice' | 'exam' | 'demonstration'
    rules?: number | null
    complaint: string
    low_battery?: boolean | null
    worn_leads?: boolean | null
    stops?: boolean | null
    /**
     * a moment as ISO 8601 has it
     */
    opens_at?: string | null
    /**
     * a moment as ISO 8601 has it
     */
    closes_at?: string | null
    minutes?: number | null
    /**
     * further faults: one of all is drawn for each trainee
     *
     * @maxItems 12
     */
    pool?: string[] | null
    /**
     * grades between which a fault is drawn for each trainee
     *
     * @minItems 2
     * @maxItems 2
     */
    band?: [number, number] | null
    after?: number | null
    after_mark?: number | null
    /**
     * which wires are to be run
     */
    wires?: 'all' | 'control' | 'some' | null
    /**
     * what there is to wire by
     */
    shown?: 'drawing' | 'picture' | 'sequence' | null
    /**
     * what is done; none: the fault is traced
     */
    work?:
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
        | null
    /**
     * of a sheet how many items
     */
    many?: number | null
}
export interface JobWindowRequest {
    /**
     * a moment as ISO 8601 has it
     */
    opens_at?: string | null
    /**
     * a moment as ISO 8601 has it
     */
    closes_at?: string | null
    minutes?: number | null
}
export interface JoinCodeRequest {
    days: number
}
export interface JoinRequest {
    code: string
    name: string
    mail?: string | null
    password: string
}
export interface KindRequest {
    name: string
    title: string
    /**
     * @minItems 1
     * @maxItems 40
     */
    terminals: {
        name: string
        edge: string
        [k: string]: unknown
    }[]
    primitives: {
        [k: string]: {}
    }
    family?: string
    look?: string
    modes?: {}
    /**
     * @maxItems 40
     */
    joined?: unknown[]
    [k: string]: unknown
}
export interface LabFileRequest {
    csv: string
}
export interface LabReadingRequest {
    unit: string
    date: string
    by?: string | null
    meter?: string | null
    visit: string
    at_s: number | string
    fault?: string | null
    mode?: string | null
    red?: string | null
    black?: string | null
    tap?: string | null
    value: number | string
    note?: string | null
}
export interface LabUnitRequest {
    unit: string
}
export interface LabelRequest {
    number: number
    label: string
}
export interface LeadRequest {
    user: number
}
export interface MarkAgainRequest {
    rules: number
}
export interface MomentRequest {
    at_s: number
    visit?: string | null
}
export interface OpenLinkRequest {
    password: string
}
export interface OverrideRequest {
    line: string
    points?: number | null
    reason: string
}
export interface PasswordRequest {
    current_password: string
    password: string
}
export interface PlayRequest {
    to_s: number
}
export interface PractiseRequest {
    fault: 'healthy' | 'drawn'
}
export interface PreviewRequest {
    fault: string
    visit: string
}
export interface RestoreRequest {
    upon: number
    number: number
}
export interface RoleRequest {
    role: 'administrator' | 'instructor' | 'assessor' | 'trainee'
}
export interface RosterFileRequest {
    /**
     * a workbook, base64
     */
    file: string
}
export interface RosterRequest {
    csv: string
}
export interface RosterUndoRequest {
    batch: string
}
export interface RulesPageRequest {
    set?: string | null
    [k: string]: unknown
}
export interface RulesRequest {
    document: {}
}
export interface RunRequest {
    visit?: string | null
}
export interface SayRequest {
    text: string
}
export interface SchoolSearchRequest {
    q?: string | null
}
export interface SecondFactorRequest {
    code: string
}
export interface SettledRequest {
    second_factor: 'offered' | 'asked'
    idle_minutes: {
        administrator: number
        instructor: number
        assessor: number
        trainee: number
    }
    keep_months: number
}
export interface ShareRequest {
    of: 'model' | 'kind' | 'rules' | 'template'
    name: string
    course?: number | null
    may: 'nothing' | 'read' | 'edit'
}
export interface SignInRequest {
    email: string
    password: string
    [k: string]: unknown
}
export interface StaffRequest {
    name: string
    mail: string
    role: 'administrator' | 'instructor' | 'assessor'
}
export interface StopRequest {
    stopped: boolean
}
export interface SumRequest {
    with: {
        [k: string]: number
    }
}
export interface WaitingRequest {
    of: string
}
export interface WhyRequest {
    at_s: number
    of: string
    visit?: string | null
}
export interface JobTemplateRequest {
    title: string
    fault: string
    /**
     * @maxItems 12
     */
    pool: string[]
    visit: string
    kind: string
    complaint: string
    low_battery: boolean
    worn_leads: boolean
    stops: boolean
    rules: number
    minutes?: number | null
    /**
     * which wires are to be run
     */
    wires?: 'all' | 'control' | 'some' | null
    /**
     * what there is to wire by
     */
    shown?: 'drawing' | 'picture' | 'sequence' | null
    /**
     * what is done; none: the fault is traced
     */
    work?:
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
        | null
    /**
     * of a sheet how many items
     */
    many?: number | null
}
export interface PredictionRequest {
    item: number
    /**
     * in the unit that is asked for; null: OL
     */
    said?: number | null
}
export interface PredictionHintRequest {
    item: number
}
export interface AnswerRequest {
    item: number
    /**
     * ids of what is picked: of a chain from the load on, of an order all of it
     *
     * @maxItems 20
     */
    picked: string[]
}
