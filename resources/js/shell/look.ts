import { useEffect, useState } from 'react'

/** How this person likes to see things: kept on this device. */
export interface Look {
    theme: 'device' | 'light' | 'dark'
    contrast: boolean
    units: 'given' | 'metric' | 'imperial'
    language: 'en-US' | 'en-GB' | 'es'
    /** what is heard at the bench is played */
    sound: boolean
    /** the tape opens by itself while time runs */
    tape: boolean
}

const KEY = 'odd-spark-look'
const PLAIN: Look = { theme: 'device', contrast: false, units: 'given', language: 'en-US', sound: false, tape: false }
const listeners = new Set<() => void>()

export function readLook(): Look {
    try {
        return { ...PLAIN, ...(JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<Look>) }
    } catch {
        return PLAIN // a device that keeps nothing, or something else's words under this name
    }
}

/** Puts the theme on the page: classes that the tokens go by. The server is told in which language somebody reads. */
export function wear(look: Look) {
    document.cookie = `words=${look.language}; path=/; max-age=31536000; samesite=lax`
    const dark =
        look.theme === 'dark' || (look.theme === 'device' && matchMedia('(prefers-color-scheme: dark)').matches)
    document.documentElement.classList.toggle('dark', dark)
    document.documentElement.classList.toggle('light', !dark)
    document.documentElement.classList.toggle('contrast', look.contrast)
    document.documentElement.style.colorScheme = dark ? 'dark' : 'light'
}

export function useLook(): [Look, (change: Partial<Look>) => void] {
    const [look, setLook] = useState(readLook)
    useEffect(() => {
        const again = () => setLook(readLook())
        listeners.add(again)
        return () => void listeners.delete(again)
    }, [])
    return [
        look,
        (change) => {
            const next = { ...readLook(), ...change }
            try {
                localStorage.setItem(KEY, JSON.stringify(next))
            } catch {
                // not kept, but worn till the page is left
            }
            wear(next)
            listeners.forEach((l) => l())
        },
    ]
}
