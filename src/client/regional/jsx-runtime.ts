import { Fragment, type JSX, jsx as reactJsx, jsxs as reactJsxs } from 'react/jsx-runtime'
import { spokenProps } from './spokenProps.ts'

export type { JSX }
export { Fragment }

/** React's own, but texts are put into the words of the region on the way, wherever they are shown. */
export const jsx: typeof reactJsx = (type, props, key) => reactJsx(type, spokenProps(type, props as Record<string, unknown>), key)
export const jsxs: typeof reactJsxs = (type, props, key) =>
  reactJsxs(type, spokenProps(type, props as Record<string, unknown>), key)
