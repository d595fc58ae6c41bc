import { HStack, Input, Text, Box } from '@chakra-ui/react'
import { useState } from 'react'
import { Select } from '@/shell/Select'

import { Word } from './Word'
import type { Draft, Edit } from './types'
import { t } from '@/words'

type Flaw = Extract<Edit, { do: 'flaw' }>

/** A fault that comes and goes, of a contact of the part that is picked. */
export function ComesAndGoes({
    draft,
    part,
    edit,
}: {
    draft: Draft
    part: string | null
    edit: (...edits: Edit[]) => Promise<boolean>
}) {
    const contacts = part ? (draft.settings[part]?.contacts ?? []) : []
    const [contact, setContact] = useState('')
    const [by, setBy] = useState<Flaw['by']>('taps')
    const [count, setCount] = useState('1')
    const which = contacts.includes(contact) ? contact : (contacts[0] ?? '')
    return (
        <Box my="2">
            <Text fontSize="text" fontWeight={700}>
                {t('Intermittent fault')}
            </Text>
            {which === '' ? (
                <Text fontSize="text" color="faint">
                    {t('Pick a part with a contact on the board first.')}
                </Text>
            ) : (
                <HStack gap="1" wrap="wrap">
                    <Text fontSize="text">{draft.board.parts.find((p) => p.id === part)?.label}</Text>
                    <Box>
                        <Select
                            label={t('Contact')}
                            value={which}
                            options={contacts.map((c): [string, string] => [c, c.replaceAll('_', ' ')])}
                            onChange={setContact}
                        />
                    </Box>
                    <Box>
                        <Select
                            label={t('How it is intermittent')}
                            value={by}
                            options={[
                                ['taps', 'closes only after taps:'],
                                ['makes', 'stays open after closings:'],
                                ['after', 'opens again after seconds:'],
                            ]}
                            onChange={(v) => setBy(v as Flaw['by'])}
                        />
                    </Box>
                    <Input
                        aria-label={t('How many')}
                        h="touch"
                        w="72px"
                        px="2"
                        borderColor="line"
                        inputMode="numeric"
                        value={count}
                        onChange={(e) => setCount(e.target.value)}
                    />
                    <Word
                        disabled={!(Number(count) >= 1)}
                        onClick={() =>
                            part && void edit({ do: 'flaw', part, contact: which, by, count: Number(count) })
                        }
                    >
                        {t('Add it')}
                    </Word>
                </HStack>
            )}
        </Box>
    )
}
