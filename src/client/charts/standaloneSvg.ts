/** Drawings of the page as SVG files that stand on their own: colours resolved as they are shown now, no styles or fonts of the page. */

const colourOf = (name: string) => {
  const style = getComputedStyle(document.documentElement)
  return style.getPropertyValue(`--${name}`).trim() || style.color
}

/** A drawing without what only the page understands. */
function bare(drawing: SVGSVGElement): SVGSVGElement {
  const copy = drawing.cloneNode(true) as SVGSVGElement
  for (const element of [copy, ...copy.querySelectorAll('*')]) {
    const tone = /\btext-(\w+)\b/.exec(element.getAttribute('class') ?? '')?.[1]
    const fill = /\bfill-(\w+)\b/.exec(element.getAttribute('class') ?? '')?.[1]
    if (tone) element.setAttribute('color', colourOf(tone))
    if (fill && fill !== 'none') element.setAttribute('fill', colourOf(fill))
    for (const name of ['class', 'role', 'tabindex', 'id', 'style', ...ariaOf(element)]) element.removeAttribute(name)
  }
  return copy
}

const textOf = (drawing: SVGSVGElement) =>
  new XMLSerializer().serializeToString(drawing).replace(/var\(--([\w-]+)\)/g, (_, name: string) => colourOf(name))

const escaped = (title: string) => title.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`)

/** Drawings one under another. */
export function standaloneSvg(drawings: readonly SVGSVGElement[], title: string): string {
  let y = 0
  let width = 0
  const parts = drawings.map((drawing) => {
    const copy = bare(drawing)
    copy.setAttribute('y', String(y))
    y += Number(drawing.getAttribute('height'))
    width = Math.max(width, Number(drawing.getAttribute('width')))
    return textOf(copy)
  })
  return file({ width: String(width), height: String(y), viewBox: `0 0 ${width} ${y}` }, title, parts.join(''))
}

/** One drawing whose unit is the millimetre, in true size: to be printed and laid under what it shows. */
export function trueSizeSvg(drawing: SVGSVGElement, title: string): string {
  const { x, y, width, height } = drawing.viewBox.baseVal
  const copy = bare(drawing)
  for (const name of ['width', 'height', 'viewBox']) copy.removeAttribute(name)
  copy.setAttribute('overflow', 'visible')
  return file({ width: `${width}mm`, height: `${height}mm`, viewBox: `${x} ${y} ${width} ${height}` }, title, textOf(copy))
}

function file(size: { width: string; height: string; viewBox: string }, title: string, body: string): string {
  const [x, y, width, height] = size.viewBox.split(' ')
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${size.width}" height="${size.height}" viewBox="${size.viewBox}" font-family="sans-serif" color="${colourOf('ink')}"><title>${escaped(title)}</title><rect x="${x}" y="${y}" width="${width}" height="${height}" fill="${colourOf('sheet')}"/><g fill="${colourOf('ink')}">${body}</g></svg>\n`
  return svg.replace(NOT_XML, '')
}

/** Characters that XML forbids. Labels can contain them. */
// biome-ignore lint/suspicious/noControlCharactersInRegex: the rule removes these
const NOT_XML = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]/g

const ariaOf = (element: Element) => element.getAttributeNames().filter((name) => name.startsWith('aria-'))
