/**
 * Drawings of the page one under another as one SVG that stands on its own: colours resolved as they are shown now, no styles
 * or fonts of the page needed.
 */
export function standaloneSvg(drawings: readonly SVGSVGElement[], title: string): string {
  const style = getComputedStyle(document.documentElement)
  const colour = (name: string) => style.getPropertyValue(`--${name}`).trim() || style.color
  let y = 0
  let width = 0
  const parts = drawings.map((drawing) => {
    const copy = drawing.cloneNode(true) as SVGSVGElement
    for (const element of [copy, ...copy.querySelectorAll('*')]) {
      const tone = /\btext-(\w+)\b/.exec(element.getAttribute('class') ?? '')?.[1]
      if (tone) element.setAttribute('color', colour(tone))
      for (const name of ['class', 'role', 'tabindex', 'id', ...ariaOf(element)]) element.removeAttribute(name)
    }
    copy.setAttribute('y', String(y))
    y += Number(drawing.getAttribute('height'))
    width = Math.max(width, Number(drawing.getAttribute('width')))
    return new XMLSerializer().serializeToString(copy).replace(/var\(--([\w-]+)\)/g, (_, name: string) => colour(name))
  })
  const escaped = title.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`)
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${y}" viewBox="0 0 ${width} ${y}" font-family="sans-serif" color="${colour('ink')}"><title>${escaped}</title><rect width="${width}" height="${y}" fill="${colour('sheet')}"/><g fill="${colour('ink')}">${parts.join('')}</g></svg>\n`
}

const ariaOf = (element: Element) => element.getAttributeNames().filter((name) => name.startsWith('aria-'))
