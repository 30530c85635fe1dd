import { isAsWritten, spoken } from './spoken.ts'

type Props = Record<string, unknown>

const SPOKEN_ATTRIBUTES = ['aria-label', 'aria-valuetext', 'title', 'placeholder', 'alt']
const NOT_SPOKEN: readonly unknown[] = ['style', 'code', 'textarea']

/** An element's texts in the words of the region. An element with `translate="no"`, such as a typed name, keeps its text. */
export function spokenProps(type: unknown, props: Props): Props {
  // This runs for every element of every screen.
  if (isAsWritten() || props.translate === 'no' || NOT_SPOKEN.includes(type)) return props
  let changed: Props | undefined
  const set = (key: string, value: unknown) => {
    if (value === props[key]) return
    changed ??= { ...props }
    changed[key] = value
  }
  const { children } = props
  if (typeof children === 'string') set('children', spoken(children))
  else if (Array.isArray(children) && children.some((child) => typeof child === 'string' && spoken(child) !== child))
    set(
      'children',
      children.map((child) => (typeof child === 'string' ? spoken(child) : child)),
    )
  if (typeof type === 'string')
    for (const key of SPOKEN_ATTRIBUTES) if (typeof props[key] === 'string') set(key, spoken(props[key]))
  return changed ?? props
}
