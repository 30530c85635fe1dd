import type { KnotId } from '../facts.ts'
import type { DrawnKnot } from '../picture.ts'
import {
  biminiDrawn,
  catsPawDrawn,
  figureEightJoinDrawn,
  palomarDrawn,
  spiderHitchDrawn,
  surgeonsJoinDrawn,
  surgeonsLoopDrawn,
} from './doubledKnots.ts'
import {
  clinchDrawn,
  doubleEyeClinchDrawn,
  figureEightEyeDrawn,
  improvedClinchDrawn,
  nonSlipLoopDrawn,
  sanDiegoJamDrawn,
  uniDrawn,
} from './eyeKnots.ts'
import { albrightDrawn, doubleUniDrawn, fgDrawn } from './joins.ts'
import { bowlineDrawn, dropperLoopDrawn, perfectionLoopDrawn, stopKnotOwnDrawn } from './loops.ts'
import { crimpLoopDrawn, haywireDrawn, snellDrawn } from './shankKnots.ts'

/** The knots that are drawn; the others say their steps in words. A drawing has a picture for each step of the facts. */
export const DRAWN_KNOTS: Readonly<Partial<Record<KnotId, DrawnKnot>>> = {
  clinch: clinchDrawn,
  improvedClinch: improvedClinchDrawn,
  doubleEyeClinch: doubleEyeClinchDrawn,
  uni: uniDrawn,
  sanDiegoJam: sanDiegoJamDrawn,
  palomar: palomarDrawn,
  snell: snellDrawn,
  figureEightEye: figureEightEyeDrawn,
  nonSlipLoop: nonSlipLoopDrawn,
  perfectionLoop: perfectionLoopDrawn,
  surgeonsLoop: surgeonsLoopDrawn,
  surgeonsJoin: surgeonsJoinDrawn,
  doubleUni: doubleUniDrawn,
  albright: albrightDrawn,
  fg: fgDrawn,
  bimini: biminiDrawn,
  spiderHitch: spiderHitchDrawn,
  catsPaw: catsPawDrawn,
  dropperLoop: dropperLoopDrawn,
  stopKnotOwn: stopKnotOwnDrawn,
  haywire: haywireDrawn,
  bowline: bowlineDrawn,
  figureEightJoin: figureEightJoinDrawn,
  crimpLoop: crimpLoopDrawn,
}
