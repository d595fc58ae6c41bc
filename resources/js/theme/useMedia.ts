import { useSyncExternalStore } from 'react'

/** Whether a condition on the screen or on this person's wishes holds, and again when that changes. */
export function useMedia(condition: string): boolean {
    return useSyncExternalStore(
        (again) => {
            if (typeof matchMedia !== 'function') return () => {}
            const list = matchMedia(condition)
            list.addEventListener('change', again)
            return () => list.removeEventListener('change', again)
        },
        () => typeof matchMedia === 'function' && matchMedia(condition).matches,
    )
}

/** Nothing on the page is to move. */
export const useStill = () => useMedia('(prefers-reduced-motion: reduce)')

/** A phone, or a tablet that is held upright. */
export const useUpright = () => useMedia('(max-width: 767px), (max-width: 1024px) and (orientation: portrait)')
