import { readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { compile } from 'json-schema-to-typescript'

const HERE = dirname(fileURLToPath(import.meta.url))

/** By the file that is written: the schema of the core that it follows from, and what the type is called. */
export const FROM: Record<string, [schema: string, type: string]> = { 'actions.ts': ['actions.json', 'ActionLog'] }

export const path = (file: string) => join(HERE, file)

/** What a file of types has to say, as its schema is now. */
export function written(file: string): Promise<string> {
    const [schema, type] = FROM[file]!
    const said = JSON.parse(readFileSync(join(HERE, '../../../../core/schema', schema), 'utf8')) as object
    return compile({ ...said, title: undefined, $id: undefined }, type, {
        additionalProperties: false,
        ignoreMinAndMaxItems: true,
        bannerComment: `// Written by npm run generate from core/schema/${schema}; not to be changed by hand.`,
        style: { semi: false, singleQuote: true, tabWidth: 4, printWidth: 120 },
    })
}
