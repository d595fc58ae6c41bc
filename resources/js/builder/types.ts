import type { Edit as EditFields } from '@/lib/generated/edits'
import type { Checked as CheckedTold, Finding as FindingTold } from '@/lib/generated/replies'

export type {
    Acted,
    Circuit,
    CircuitLoad,
    Control,
    Doc,
    DocPart,
    Doing,
    DocVisit as Visit,
    DocWire,
    DraftData as Draft,
    DraftStep as Step,
    EditReply,
    ExpectedReading,
    Guard,
    Includable,
    KindFound,
    Parameter,
    Presence,
    ReadingsRun,
    Reason,
    RunMoment as Moment,
    RunTape,
    Settings,
    TableDoc,
    TableRow,
    TableShown,
} from '@/lib/generated/replies'

/** What is told of a model, with edits that mend it. */
export type Checked = Omit<CheckedTold, 'findings'> & { findings: Finding[] }
export type Finding = Omit<FindingTold, 'edits'> & { edits: Edit[] }

/** What can be done to a model, with its fields, as the core has it. */
export type Edit = EditFields
