import { Fragment, type JSX, jsxDEV as reactJsxDev } from 'react/jsx-dev-runtime'
import { spokenProps } from './spokenProps.ts'

export type { JSX }
export { Fragment }

/** As jsx-runtime.ts, for the development server and tests. */
export const jsxDEV: typeof reactJsxDev = (type, props, ...rest) =>
  reactJsxDev(type, spokenProps(type, props as Record<string, unknown>), ...rest)
