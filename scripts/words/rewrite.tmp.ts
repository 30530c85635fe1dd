// Throwaway: applies pairs to user texts.
import { execSync } from 'node:child_process'
import { readFileSync, writeFileSync } from 'node:fs'
import ts from 'typescript'

const [pairsFile, filesPattern, mode] = process.argv.slice(2)
const pairs = readFileSync(pairsFile!, 'utf8')
  .split('\n')
  .filter((l) => l.includes('=>'))
  .map((l) => {
    const i = l.indexOf(' => ')
    return i < 0 ? ([l.slice(0, l.indexOf(' =>')), ''] as const) : ([l.slice(0, i), l.slice(i + 4)] as const)
  })
  .filter(([a, b]) => a !== b && a.trim() !== '')
const used = new Map<string, number>()
const esc = (s: string) => s.replace(/[.*+?^${}()|[\]\\]/g, '\\$&').replace(/ /g, '\\s+')
const exact = pairs.filter(([a]) => a.length <= 14 && !/^[ ,;:.”]|[ ]$/.test(a))
const inside = pairs.filter((p) => !exact.includes(p)).toSorted((x, y) => y[0].length - x[0].length)
const insideRe = inside.map(
  ([a, b]) =>
    [
      new RegExp((/^[A-Za-z]/.test(a) ? '(?<![A-Za-z])' : '') + esc(a) + (/[A-Za-z]$/.test(a) ? '(?![A-Za-z])' : ''), 'g'),
      b,
      a,
    ] as const,
)
const exactMap = new Map(exact)
const files = execSync('git ls-files -co --exclude-standard', { encoding: 'utf8' })
  .split('\n')
  .filter((f) => new RegExp(filesPattern!).test(f) && /\.tsx?$/.test(f) && !f.endsWith('.tmp.ts'))
function change(text: string): string {
  const trimmed = text.replace(/\s+/g, ' ').trim()
  const hit = exactMap.get(trimmed)
  if (hit !== undefined) {
    used.set(trimmed, (used.get(trimmed) ?? 0) + 1)
    return text.replace(text.trim(), hit)
  }
  // longest first, and no pair on the result of another
  let parts: { done: boolean; s: string }[] = [{ done: false, s: text }]
  for (const [re, b, a] of insideRe) {
    parts = parts.flatMap((p) => {
      if (p.done) return [p]
      const out: { done: boolean; s: string }[] = []
      let last = 0
      for (const m of p.s.matchAll(re)) {
        used.set(a, (used.get(a) ?? 0) + 1)
        out.push({ done: false, s: p.s.slice(last, m.index) }, { done: true, s: b })
        last = m.index! + m[0].length
      }
      out.push({ done: false, s: p.s.slice(last) })
      return out
    })
  }
  return parts.map((p) => p.s).join('')
}
for (const f of files) {
  const source = readFileSync(f, 'utf8')
  const tree = ts.createSourceFile(
    f,
    source,
    ts.ScriptTarget.Latest,
    true,
    f.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS,
  )
  const edits: [number, number, string][] = []
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node)) return
    if (
      ts.isStringLiteralLike(node) ||
      ts.isJsxText(node) ||
      ts.isTemplateHead(node) ||
      ts.isTemplateMiddle(node) ||
      ts.isTemplateTail(node) ||
      (mode === 'tests' && ts.isRegularExpressionLiteral(node))
    ) {
      const full = ts.isJsxText(node) ? node.pos : node.getStart()
      const raw = source.slice(full, node.end)
      let [pre, post] = [0, 0]
      if (!ts.isJsxText(node)) {
        pre = 1
        post = ts.isTemplateHead(node) || ts.isTemplateMiddle(node) ? 2 : 1
      }
      const inner = raw.slice(pre, raw.length - post)
      const q = ts.isStringLiteral(node) ? raw[0] : ''
      let next = change(inner)
      if (q === "'") next = next.replace(/(?<!\\)'/g, "\\'")
      if (next !== inner) edits.push([full + pre, node.end - post, next])
    }
    ts.forEachChild(node, visit)
  }
  visit(tree)
  if (edits.length === 0) continue
  let out = source
  for (const [a, b, s] of edits.toReversed()) out = out.slice(0, a) + s + out.slice(b)
  writeFileSync(f, out)
}
if (mode !== 'tests') for (const [a] of pairs) if (!used.has(a)) console.log('unused:', a)
