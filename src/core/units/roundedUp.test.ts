import { expect, test } from 'vitest'
import { roundedUpKg } from './roundedUp.ts'

test.each([
  [0.0012, 0.005],
  [0.121, 0.125],
  [0.15, 0.15],
  [0.243, 0.25],
  [1.712, 1.75],
  [1e-4, 0.005],
])('%d kg is shown as %d kg', (kg, shown) => expect(roundedUpKg(kg)).toBe(shown))
