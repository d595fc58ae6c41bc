import type { Person } from '@/lib/types'

/** What somebody can be at the school, and what that lets him do. */
export const ROLES: { id: Person['role']; title: string; says: string }[] = [
    {
        id: 'instructor',
        title: 'Instructor',
        says: 'Teaches classes; makes models, jobs and house rules.',
    },
    {
        id: 'assessor',
        title: 'Assessor',
        says: 'Reads and marks work in the assigned classes; changes nothing else.',
    },
    {
        id: 'administrator',
        title: 'Administrator',
        says: 'Manages accounts, the audit log and stored data; can also teach.',
    },
    { id: 'trainee', title: 'Trainee', says: 'Works on jobs.' },
]

export const titleOf = (role: Person['role']) => ROLES.find((r) => r.id === role)?.title ?? role
