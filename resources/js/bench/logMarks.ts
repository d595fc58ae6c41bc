import { unread } from '@/bench/Log'
import type { Entry } from '@/lib/types'
import type { Mark } from '@/tape/Tape'

/** What of the log stands on the tape; on one's own sheet without what was read. */
export const logMarks = (log: Entry[], ownSheet: boolean): Mark[] =>
    log
        .filter((e) => !e.refused && !['meant', 'suspect', 'todo', 'dial', 'hint'].includes(e.act.act))
        .map((e) => ({
            at: e.at_s,
            text: ownSheet ? unread(e) : e.text,
            ...(e.reading && !ownSheet ? { reading: e.reading.text } : {}),
            kind: Object.keys(e.dangers).length
                ? 'danger'
                : e.reading
                  ? 'reading'
                  : e.act.act === 'look'
                    ? 'look'
                    : 'act',
        }))
