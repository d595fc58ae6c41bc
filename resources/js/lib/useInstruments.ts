import { usePage } from '@inertiajs/react'

/** Titles of the instruments that are put to a tap, by key, as the server has them. */
export function useInstruments(): (key: string) => string {
    const titles = usePage<{ instruments: Record<string, string> }>().props.instruments
    return (key) => titles[key] ?? key
}
