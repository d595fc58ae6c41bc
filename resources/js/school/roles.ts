import type { Person } from '@/lib/types'

/** What somebody can be at the school, and what that lets him do. */
export const ROLES: { id: Person['role']; title: string; says: string }[] = [
    {
        id: 'instructor',
        title: 'Instructor',
        says: 'Has classes, models, jobs and rules of their own.',
    },
    {
        id: 'assessor',
        title: 'Assessor',
        says: 'Reads and marks in the classes that were given to them; sets nothing.',
    },
    {
        id: 'administrator',
        title: 'Administrator',
        says: 'Looks after people, the audit log and what is kept; can teach as an instructor does.',
    },
    { id: 'trainee', title: 'Trainee', says: 'Works on jobs.' },
]

export const titleOf = (role: Person['role']) => ROLES.find((r) => r.id === role)?.title ?? role
