import { readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { compile } from 'json-schema-to-typescript'

const HERE = dirname(fileURLToPath(import.meta.url))

const ROOT = join(HERE, '../../../..')

interface Source {
    schema: string
    /** what the whole is called; none: only what is defined in it */
    type?: string
}

/** By the file that is written: the schema that it follows from. */
export const FROM: Record<string, Source> = {
    'actions.ts': { schema: 'core/schema/actions.json', type: 'ActionLog' },
    'edits.ts': { schema: 'core/schema/edits.json', type: 'Edit' },
    'requests.ts': { schema: 'contract/requests.json' },
    'replies.ts': { schema: 'contract/replies.json' },
}

export const path = (file: string) => join(HERE, file)

/** What a file of types has to say, as its schema is now. */
export async function written(file: string): Promise<string> {
    const { schema, type } = FROM[file]!
    const said = paired(JSON.parse(readFileSync(join(ROOT, schema), 'utf8'))) as object
    const types = await compile({ ...said, title: undefined, $id: undefined }, type ?? 'Unnamed', {
        additionalProperties: false,
        ignoreMinAndMaxItems: true,
        unreachableDefinitions: type === undefined,
        bannerComment: `// Written by npm run generate from ${schema}; not to be changed by hand.`,
        style: { semi: false, singleQuote: true, tabWidth: 4, printWidth: 120 },
    })
    return type === undefined ? withoutWhole(types) : types
}

/** A list of exactly two is a pair. */
function paired(schema: unknown): unknown {
    if (Array.isArray(schema)) return schema.map(paired)
    if (typeof schema !== 'object' || schema === null) return schema
    if (Object.keys(schema).length === 0) return { tsType: 'unknown' }
    const own = Object.fromEntries(Object.entries(schema).map(([key, value]) => [key, paired(value)]))
    return own['minItems'] === 2 && own['maxItems'] === 2 && typeof own['items'] === 'object'
        ? { ...own, items: [own['items'], own['items']], additionalItems: false }
        : own
}

/** Definitions by themselves: what holds them together is nothing, and what is said of where each stands is noise. */
function withoutWhole(types: string): string {
    const where = / \* This interface was referenced by `Unnamed`'s JSON-Schema\n \* via the `definition` "\w+"\.\n/g
    return types
        .replace(/export interface Unnamed \{[^}]*\}\n/, '')
        .replace(where, '')
        .replace(/\/\*\*\n \*\/\n/g, '')
        .replace(/ \*\n \*\/\n/g, ' */\n')
}
