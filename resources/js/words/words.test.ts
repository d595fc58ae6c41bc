import { readdirSync, readFileSync, statSync } from 'node:fs'
import { join } from 'node:path'
import ts from 'typescript'
import { expect, it } from 'vitest'
import british from './en-GB.json'
import spanish from './es.json'

const ROOT = join(__dirname, '..')

/** What the sample of a third language has: bench and meter, and the frame round them. */
const SAMPLE = [
    'bench',
    'live',
    'shell',
    'sound',
    'tape',
    'pages/Bench.tsx',
    'board/BoardButtons.tsx',
    'board/MiniMap.tsx',
]

function sources(under: string): string[] {
    const at = join(ROOT, under)
    if (!statSync(at).isDirectory()) return [at]
    return readdirSync(at, { recursive: true, encoding: 'utf8' })
        .filter((f) => /\.tsx?$/.test(f) && !/\.test\./.test(f))
        .map((f) => join(at, f))
}

/** Texts that a file has translated: the strings within a call of t. */
function texts(file: string): string[] {
    const found: string[] = []
    const source = ts.createSourceFile(
        file,
        readFileSync(file, 'utf8'),
        ts.ScriptTarget.Latest,
        true,
        ts.ScriptKind.TSX,
    )
    const strings = (e: ts.Expression): void => {
        if (ts.isStringLiteralLike(e)) found.push(e.text)
        else if (ts.isConditionalExpression(e)) [e.whenTrue, e.whenFalse].forEach(strings)
    }
    const visit = (node: ts.Node): void => {
        if (ts.isCallExpression(node) && node.expression.getText() === 't' && node.arguments[0])
            strings(node.arguments[0])
        ts.forEachChild(node, visit)
    }
    visit(source)
    return found
}

/** What a file shows or reads out without having it translated: text between tags, and what a label is made of. */
function bare(file: string): string[] {
    const source = ts.createSourceFile(
        file,
        readFileSync(file, 'utf8'),
        ts.ScriptTarget.Latest,
        true,
        ts.ScriptKind.TSX,
    )
    const found: string[] = []
    const sentence = (text: string) =>
        !text.includes('\n') &&
        !text.includes('Odd Spark') &&
        /[a-z]{2,}[,;:]? [a-z]{2,}|^[A-Z][a-z]{2,}/.test(text.trim())
    const strings = (node: ts.Node): void => {
        if (ts.isCallExpression(node)) return // of t, or of something that has its own
        if (ts.isStringLiteralLike(node) && sentence(node.text)) found.push(node.text)
        if (
            ts.isTemplateExpression(node) &&
            sentence([node.head, ...node.templateSpans.map((s) => s.literal)].map((l) => l.text).join(''))
        )
            found.push(node.getText())
        ts.forEachChild(node, strings)
    }
    const visit = (node: ts.Node): void => {
        if (ts.isJsxText(node) && sentence(node.text)) found.push(node.text.trim())
        if (
            ts.isJsxAttribute(node) &&
            /^(aria-label|title|alt|placeholder)$/.test(node.name.getText()) &&
            node.initializer
        )
            strings(node.initializer)
        ts.forEachChild(node, visit)
    }
    visit(source)
    return found
}

const names = (text: string) => [...text.matchAll(/\{\{(\w+)\}\}/g)].map((m) => m[1]).sort()

it('has a Spanish word for every word of bench and meter', () => {
    const lacking = SAMPLE.flatMap(sources)
        .flatMap(texts)
        .filter((text) => !(text in spanish))
    expect([...new Set(lacking)]).toEqual([])
})

it('shows nothing that goes past the catalogue', () => {
    const past = sources('.').flatMap((file) => bare(file).map((text) => `${file.slice(ROOT.length)}: ${text}`))
    expect(past).toEqual([])
})

it.each([
    ['en-GB', british],
    ['es', spanish],
])('says in %s what has been said, with the same values in it', (_, catalogue: Record<string, string>) => {
    for (const [text, other] of Object.entries(catalogue)) expect(names(other), text).toEqual(names(text))
})

it('knows British words only for what stands on a page', () => {
    const named = readFileSync(join(ROOT, 'lib/families.ts'), 'utf8').matchAll(/: '([^']+)',/g)
    const all = new Set([...sources('.').flatMap(texts), ...[...named].map((m) => m[1]!)])
    expect(Object.keys(british).filter((text) => !all.has(text))).toEqual([])
    expect(all.size).toBeGreaterThan(500)
})
