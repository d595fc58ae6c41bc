import { t } from '@/words'

/** What families of parts and faults are called, where that is not their name. */
const CALLED: Record<string, string> = {
    draught: 'draft and venting',
    exchanger: 'heat exchanger',
    found: 'left behind by others',
    healthy: 'nothing wrong',
    own: 'custom parts',
    safety: 'water safeties',
    splices: 'connections',
}

export const familyName = (family: string): string => t(CALLED[family] ?? family)
