import type { Shape } from '../../shared/print.ts'

type PathShape = Extract<Shape, { kind: 'path' }>

/** A drawing on the page as plain shapes for paper: paths and texts in its own units, black on white whatever the light is. */
export function svgShapes(drawing: SVGSVGElement): Shape[] {
  const tints = tintsOf(drawing)
  return [...drawing.querySelectorAll<SVGGraphicsElement>('path, line, circle, ellipse, rect, polyline, polygon, text')].flatMap(
    (element): Shape[] => {
      if (element instanceof SVGTextElement) return textShape(element)
      const d = pathOf(element)
      const style = getComputedStyle(element)
      const fill = fillOf(style.fill, tints)
      const isStroked = isPaint(style.stroke) && style.stroke !== tints.white[0]
      const strokeWidth = isStroked ? Number.parseFloat(style.strokeWidth) || 0 : 0
      if (d === '' || (fill === 'none' && strokeWidth === 0)) return []
      const dash = style.strokeDasharray === 'none' ? [] : style.strokeDasharray.split(/[\s,]+/).map(Number.parseFloat)
      return [{ kind: 'path', d, matrix: matrixOf(element, drawing), strokeWidth, dash, fill }]
    },
  )
}

type Tints = { white: string[]; grey: string[] }

/** The colours of the light that is on, by what they are on paper. */
function tintsOf(drawing: SVGSVGElement): Tints {
  const probe = document.createElementNS('http://www.w3.org/2000/svg', 'rect')
  drawing.append(probe)
  const resolved = (name: string) => {
    probe.style.fill = `var(--${name})`
    return getComputedStyle(probe).fill
  }
  const tints = { white: ['sheet', 'ground', 'well'].map(resolved), grey: ['spread'].map(resolved) }
  probe.remove()
  return tints
}

const isPaint = (colour: string) => colour !== 'none' && colour !== 'transparent' && !/, 0\)$/.test(colour)

function fillOf(colour: string, { white, grey }: Tints): PathShape['fill'] {
  if (!isPaint(colour)) return 'none'
  if (white.includes(colour)) return 'white'
  return grey.includes(colour) ? 'grey' : 'black'
}

function matrixOf(element: SVGGraphicsElement, drawing: SVGSVGElement): PathShape['matrix'] {
  const own = element.getScreenCTM()
  const whole = drawing.getScreenCTM()
  if (!own || !whole) return [1, 0, 0, 1, 0, 0]
  const { a, b, c, d, e, f } = whole.inverse().multiply(own)
  return [a, b, c, d, e, f]
}

/** Any shape as the data of a path. */
function pathOf(element: SVGGraphicsElement): string {
  const number = (name: string) => Number.parseFloat(element.getAttribute(name) ?? '0') || 0
  switch (element.tagName) {
    case 'path':
      return element.getAttribute('d') ?? ''
    case 'line':
      return `M${number('x1')} ${number('y1')}L${number('x2')} ${number('y2')}`
    case 'rect':
      return `M${number('x')} ${number('y')}h${number('width')}v${number('height')}h${-number('width')}Z`
    case 'polyline':
    case 'polygon':
      return `M${element.getAttribute('points')}${element.tagName === 'polygon' ? 'Z' : ''}`
    default: {
      const [cx, cy] = [number('cx'), number('cy')]
      const [rx, ry] = [number('rx') || number('r'), number('ry') || number('r')]
      return `M${cx - rx} ${cy}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0Z`
    }
  }
}

function textShape(element: SVGTextElement): Shape[] {
  const text = element.textContent?.trim() ?? ''
  if (text === '') return []
  const style = getComputedStyle(element)
  const { textAnchor } = style
  return [
    {
      kind: 'text',
      text: text.slice(0, 200),
      x: Number.parseFloat(element.getAttribute('x') ?? '0'),
      y: Number.parseFloat(element.getAttribute('y') ?? '0'),
      size: Number.parseFloat(style.fontSize),
      anchor: textAnchor === 'middle' || textAnchor === 'end' ? textAnchor : 'start',
    },
  ]
}
