// @vitest-environment node
import { readFileSync, writeFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { FROM, path, written } from './write'

it('has the types that follow from the schemas now', async () => {
    for (const file of Object.keys(FROM)) {
        const now = await written(file)
        if (process.env['WRITE_TYPES'] === 'yes') writeFileSync(path(file), now)
        expect(readFileSync(path(file), 'utf8')).toBe(now)
    }
})
