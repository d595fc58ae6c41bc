import { Checkbox, HStack, Stack, Text } from '@chakra-ui/react'
import { placeName, wireName } from '@/board/walk'
import { Select } from '@/shell/Select'
import { wireColours } from '@/theme/wires'
import { Field, figure } from './Field'
import { points } from './points'
import type { Draft, Edit } from './types'
import { Word } from './Word'
import { t } from '@/words'

const COLOURS = Object.keys(wireColours)

/** The wire that is picked: colour, gauge, length, tag, way and cable. */
export function WireBox({
    draft,
    wire,
    edit,
    onRemove,
    onRoute,
}: {
    draft: Draft
    wire: string
    edit: (...edits: Edit[]) => Promise<boolean>
    onRemove: () => void
    onRoute: () => void
}) {
    const w = draft.document.wires.find((x) => x.id === wire)
    if (!w)
        return (
            <Text fontSize="text">
                {t('{{wireName}}: part of the included appliance.', { wireName: wireName(draft.board, wire) })}
            </Text>
        )
    const metric = w.mm2 !== undefined
    const runsHidden = draft.board.wires.find((x) => x.id === wire)?.bundled !== undefined
    const set = (fields: Record<string, unknown>) => void edit({ do: 'rewire', wire, ...fields })
    const failures = Object.entries(draft.document.universe?.wire_modes ?? {})
    const own = w.modes ?? []
    const beside = [
        ...draft.document.wires.filter((x) => x.id !== w.id && x.cable !== undefined && x.cable === w.cable),
        ...draft.document.wires.filter((x) => x.id !== w.id && ['green', 'green-yellow', 'bare'].includes(x.colour)),
    ].map(
        (x) =>
            [
                x.to,
                t('{{wireName}} at {{placeName}}', {
                    wireName: wireName(draft.board, x.id),
                    placeName: placeName(draft.board, x.to),
                }),
            ] as [string, string],
    )
    const cables = [...new Set(draft.document.wires.flatMap((x) => x.cable ?? []))]
    return (
        <Stack gap="2">
            <Text fontWeight={700}>{t('Wire {{id}}', { id: w.id })}</Text>
            <Text fontSize="text">
                {t('{{placeName}} to {{placeName2}}', {
                    placeName: placeName(draft.board, w.from),
                    placeName2: placeName(draft.board, w.to),
                })}
            </Text>
            <Select
                label={t('Color')}
                value={w.colour}
                options={COLOURS.map((c) => [c, c])}
                onChange={(colour) => set({ colour })}
            />
            <HStack gap="2">
                <Field
                    label={metric ? t('Cross-section') : t('Gauge')}
                    unit={metric ? 'mm²' : 'AWG'}
                    number
                    w="64px"
                    value={metric ? w.mm2! : (w.awg ?? 18)}
                    onSet={(t) => set(metric ? { mm2: figure(t) } : { awg: figure(t) })}
                />
                <Field
                    label={t('Length')}
                    unit={metric ? 'm' : 'ft'}
                    number
                    w="64px"
                    value={metric ? w.metres! : (w.feet ?? 1)}
                    onSet={(t) => set(metric ? { metres: figure(t) } : { feet: figure(t) })}
                />
            </HStack>
            <Field label={t('Tag')} value={w.tag ?? ''} onSet={(tag) => tag && set({ tag })} />
            <Field
                label={t('Route through')}
                value={(w.via ?? []).map((p) => p.join(',')).join(' ')}
                hint="points, as x,y x,y; empty for auto route"
                onSet={(text) => void edit({ do: 'route', wire, via: points(text) })}
            />
            <Field
                label={t('Cable')}
                value={w.cable ?? ''}
                hint={cables.length ? `there are ${cables.join(', ')}` : 'wires of one name lie side by side'}
                onSet={(id) => id && void edit({ do: 'cable', id, wires: [wire] })}
            />
            {w.cable && (
                <Word
                    on={runsHidden}
                    onClick={() =>
                        void edit({ do: 'cable', id: w.cable!, wires: [wire], run: runsHidden ? 'open' : 'hidden' })
                    }
                >
                    {t('Runs hidden with the others of its cable')}
                </Word>
            )}
            <Text fontSize="text">{t('How it can fail')}</Text>
            {failures.map(([mode, { title }]) => (
                <Checkbox.Root
                    key={mode}
                    checked={own.includes(mode)}
                    alignItems="flex-start"
                    minH="touch"
                    onCheckedChange={({ checked }) =>
                        set({ modes: checked ? [...own, mode] : own.filter((x) => x !== mode) })
                    }
                >
                    <Checkbox.HiddenInput />
                    <Checkbox.Control
                        mt="1"
                        borderColor="faint"
                        _checked={{ bg: 'copper', borderColor: 'copper', color: 'onCopper' }}
                    />
                    <Checkbox.Label fontSize="text" fontWeight={400}>
                        {title}
                    </Checkbox.Label>
                </Checkbox.Root>
            ))}
            <Text fontSize="text">{t('Lies against')}</Text>
            <Select
                label={t('Lies against')}
                value={w.near ?? 'nothing'}
                options={[['nothing', t('nothing')], ...new Map(beside)]}
                onChange={(near) => set({ near })}
            />
            <HStack gap="1" wrap="wrap">
                <Word onClick={onRoute}>{t('Route by hand')}</Word>
                {w.via && <Word onClick={() => void edit({ do: 'route', wire, via: [] })}>{t('Auto route')}</Word>}
                <Word onClick={onRemove}>{t('Delete')}</Word>
            </HStack>
        </Stack>
    )
}
