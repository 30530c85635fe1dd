import type { ComponentType } from 'react'
import type { Catalogue } from '../../core/catalogue/catalogue.ts'
import type { LinkRef } from '../../core/documents/linkRef.ts'
import type { MomentResult } from '../../core/moments/moment.ts'
import type { Setup } from '../../core/setup/setup.ts'
import type { Show } from '../settings/show.ts'

/** What words need to be found: the units shown, what a link is called, and what gear is called. */
export type Wording = {
  show: Show
  nameOf: (ref: LinkRef) => string
  catalogue: Catalogue
  /** The sinkers owned; absent: not known, or none. */
  sinkersKg?: readonly number[] | undefined
}

/** How one moment is shown: its words, and the view it opens into. One file makes one, and the table of views lists it. */
export type MomentView<Result extends MomentResult> = {
  /** The rule of its verdict. */
  rule: (show: Show) => string
  /** Why there is no verdict, where there is none. */
  absent: (setup: Setup) => string
  /** The figure behind a verdict, in one line. */
  figure: (result: Result, wording: Wording) => string
  /** What decides it, in one line. */
  decides: (result: Result, wording: Wording) => string
  /** What its inputs are called, by their keys; and what their words stand for. */
  inputs: Readonly<Record<string, string>>
  words: (wording: Wording) => Readonly<Record<string, string>>
  Why: ComponentType<{ result: Result; setup: Setup }>
}
