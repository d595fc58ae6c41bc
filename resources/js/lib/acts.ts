import type { ActionLog } from './generated/actions'
import type { Entry } from './types'

/** What can be done at the bench, with its fields, as the core's classes have it. */
export type Action = ActionLog['entries'][number]
export type ActName = Action['act']
export type Fields<N extends ActName> = Omit<Extract<Action, { act: N }>, 'act' | 'at_s' | 'id'>

/** Does one act; undefined where no answer came to this page any more. */
export type DoAct = <N extends ActName>(
    name: N,
    ...fields: object extends Fields<N> ? [Fields<N>?] : [Fields<N>]
) => Promise<Entry | undefined>

/** An instrument that is put to a tap, by the act that puts it there. */
export type AtTap = Extract<Action, { tap: string | null }>['act']
export type Mode = Fields<'dial'>['mode']
