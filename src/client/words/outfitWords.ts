import dayjs from 'dayjs'
import type { Catalogue } from '../../core/catalogue/catalogue.ts'
import { timesTooGood } from '../../core/catalogue/materials.ts'
import type { Outfit } from '../../core/documents/outfit.ts'
import { misfitsOnReel } from '../../core/joints/woundJoints.ts'
import { WOUND_NAMES } from './names.ts'

/** What is to be known of an outfit by itself: labels that cannot be true, line that is old, joints that cannot stand. */
export function outfitRemarks(catalogue: Catalogue, outfit: Outfit, today: Date): string[] {
  const ofLines = outfit.wound.flatMap((line) => {
    const name = WOUND_NAMES[line.role]
    const { lastsYears, name: material } = catalogue.materials[line.material]
    const times = timesTooGood(catalogue, line)
    const years = line.woundOn === undefined ? 0 : dayjs(today).diff(line.woundOn, 'month') / 12
    return [
      ...(times === undefined
        ? []
        : [
            `The ${name} is labelled ${times.toFixed(1)} times what ${material} of that thickness holds. Measure it and test a length.`,
          ]),
      ...(years >= lastsYears
        ? [
            `The ${name} has been on for ${years.toFixed(0)} years. Test a length at ${material} before you trust it, or wind on new line.`,
          ]
        : []),
    ]
  })
  const ofJoints = misfitsOnReel(catalogue, outfit).map(
    ({ under, over, connection, misfit }) =>
      `Between ${WOUND_NAMES[under]} and ${WOUND_NAMES[over]} is “${catalogue.connections[connection].name}”, which ${misfit}.`,
  )
  return [...ofLines, ...ofJoints]
}
