/** A moment as people say it, in the time of this device: "Thu 3 Dec, 14:05". */
export function said(moment: string | null): string {
    if (moment === null) return ''
    const at = new Date(moment)
    const day = at.toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short' })
    return `${day}, ${at.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })}`
}

/** The week of a moment, by its Monday: "Week of 30 Nov 2026". */
export function weekOf(moment: string): string {
    const at = new Date(moment)
    at.setDate(at.getDate() - ((at.getDay() + 6) % 7))
    return `Week of ${at.toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' })}`
}

/** A moment for a field of day and time, and back; nothing where it is left empty. */
export function forField(moment: string | null): string {
    if (moment === null) return ''
    const at = new Date(moment)
    return new Date(at.getTime() - at.getTimezoneOffset() * 60_000).toISOString().slice(0, 16)
}

export function fromField(field: string): string | null {
    return field === '' ? null : new Date(field).toISOString()
}

/** What is said of the time of a job, for all of the class; whether somebody can begin it the server says. */
export function timeOf(
    job: { opens_at: string | null; closes_at: string | null; minutes: number | null },
    now: number,
): string[] {
    const isOpen = job.opens_at === null || now >= Date.parse(job.opens_at)
    return [
        ...(isOpen ? [] : [`opens ${said(job.opens_at)}`]),
        ...(job.closes_at === null
            ? []
            : [`${now < Date.parse(job.closes_at) ? 'closes' : 'closed'} ${said(job.closes_at)}`]),
        ...(job.minutes === null ? [] : [`${job.minutes} minutes`]),
    ]
}
