import { NativeSelect } from '@chakra-ui/react'

/** One of some named values. */
export function Select({
    label,
    value,
    options,
    onChange,
    w,
}: {
    label: string
    value: string
    options: [string, string][]
    onChange: (v: string) => void
    w?: string
}) {
    return (
        <NativeSelect.Root w={w}>
            <NativeSelect.Field
                aria-label={label}
                h="touch"
                borderColor="line"
                value={value}
                onChange={(e) => onChange(e.target.value)}
            >
                {options.map(([v, word]) => (
                    <option key={v} value={v}>
                        {word}
                    </option>
                ))}
            </NativeSelect.Field>
            <NativeSelect.Indicator />
        </NativeSelect.Root>
    )
}
