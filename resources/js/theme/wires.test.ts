// @vitest-environment node
import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { wireColours } from './wires'

it('draws every colour that a wire of a model can have, and offers no other', () => {
    const schema = JSON.parse(readFileSync('core/schema/model.json', 'utf8')) as {
        $defs: { wire: { properties: { colour: { enum: string[] } } } }
    }
    expect(Object.keys(wireColours).sort()).toEqual(schema.$defs.wire.properties.colour.enum.sort())
})
