import { readFileSync } from 'node:fs'
import ts from 'typescript'

/** A text that a user may read, with where it is in the code. Computed parts are `…`. */
export type UserText = { file: string; line: number; text: string }

/** Attributes and calls whose strings are never read: classes, keys, addresses, queries. */
const CODE_ATTRIBUTES = new Set([
  'className',
  'key',
  'id',
  'htmlFor',
  'to',
  'd',
  'type',
  'transform',
  'style',
  'accept',
  'href',
  'fill',
  'stroke',
  'viewBox',
  'points',
  'tone',
  'quantity',
  'kind',
  'rel',
  'scope',
  'role',
  'inputMode',
  'autoComplete',
  'points',
  'format',
  'textAnchor',
  'dominantBaseline',
])
const CODE_CALLS =
  /^(sql|query|execute|sendTo|resolve|join|split|startsWith|endsWith|includes|getElementById|querySelector|querySelectorAll|import|require|RegExp|indexOf|replaceAll|replace|setAttribute|getAttribute|addEventListener|removeEventListener|request|literal|select|where|groupBy|orderBy|innerJoin|set|returning|columns|isolationLevel|setIsolationLevel|error|info|warn)$/
const WORDS = /[\p{L}’]{2,}[ .,:;?!…]+.*[\p{L}]/u

/** Every text in a source file that a user may read. */
export function userTexts(file: string, source = readFileSync(file, 'utf8')): UserText[] {
  const tree = ts.createSourceFile(
    file,
    source,
    ts.ScriptTarget.Latest,
    true,
    file.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS,
  )
  const found: UserText[] = []
  const add = (node: ts.Node, text: string) => {
    const plain = text.replace(/\s+/g, ' ').trim()
    if (plain !== '' && /\p{L}/u.test(plain))
      found.push({ file, line: tree.getLineAndCharacterOfPosition(node.getStart()).line + 1, text: plain })
  }
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isTypeNode(node)) return
    if (ts.isJsxAttribute(node) && (CODE_ATTRIBUTES.has(node.name.getText()) || node.name.getText().startsWith('data-'))) return
    if (ts.isJsxElement(node) || ts.isJsxFragment(node)) {
      add(node, joined(node.children))
      for (const child of node.children) visitInside(child)
      if (ts.isJsxElement(node)) for (const attribute of node.openingElement.attributes.properties) visit(attribute)
      return
    }
    if (ts.isCallExpression(node) && CODE_CALLS.test(nameOfCall(node))) {
      ts.forEachChild(node, (child) => (ts.isStringLiteralLike(child) ? undefined : visit(child)))
      return
    }
    if (ts.isTaggedTemplateExpression(node) && node.tag.getText() !== 'say') return
    if (ts.isStringLiteralLike(node)) {
      const inJsx = ts.isJsxAttribute(node.parent)
      if (inJsx || WORDS.test(node.text)) add(node, node.text)
      return
    }
    if (ts.isTemplateExpression(node)) {
      const text = node.head.text + node.templateSpans.map((span) => `…${span.literal.text}`).join('')
      if (WORDS.test(text)) add(node, text)
      for (const { expression } of node.templateSpans) visit(expression)
      return
    }
    ts.forEachChild(node, visit)
  }
  /** Text inside an element is part of the element’s own text; what it computes is visited. */
  const visitInside = (node: ts.Node): void => {
    if (!ts.isJsxText(node)) visit(node)
  }
  const joined = (children: readonly ts.Node[]): string =>
    children
      .map((child) => {
        if (ts.isJsxText(child)) return child.text
        if (ts.isJsxExpression(child)) {
          const { expression } = child
          return expression && ts.isStringLiteralLike(expression) ? expression.text : '…'
        }
        return ' … '
      })
      .join('')
  visit(tree)
  return found
}

function nameOfCall({ expression }: ts.CallExpression): string {
  return ts.isPropertyAccessExpression(expression) ? expression.name.text : expression.getText()
}
