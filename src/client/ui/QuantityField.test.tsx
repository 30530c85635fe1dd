import { cleanup, render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import { afterEach, expect, test, vi } from 'vitest'
import { LB } from '../../core/units/quantities.ts'
import { PreferencesProvider } from '../settings/preferences.tsx'
import { QuantityField } from './QuantityField.tsx'

afterEach(cleanup)

/** A strength field with its value, as a form holds it. */
function Held({ onValue, canClear = false }: { onValue: (si: number | undefined) => void; canClear?: boolean }) {
  const [si, setSi] = useState<number | undefined>(30 * LB)
  const set = (next: number | undefined) => {
    setSi(next)
    onValue(next)
  }
  return (
    <PreferencesProvider>
      <QuantityField
        label="strength"
        quantity="strength"
        valueSi={si}
        onChange={set}
        check={(n) => (n > 1000 ? 'Too large.' : undefined)}
        step={(n, direction) => n + direction * 10 * LB}
        {...(canClear ? { onClear: () => set(undefined) } : {})}
      />
    </PreferencesProvider>
  )
}

function field(canClear = false) {
  const onValue = vi.fn()
  render(<Held onValue={onValue} canClear={canClear} />)
  const input = screen.getByLabelText<HTMLInputElement>('strength')
  return { input, onValue, user: userEvent.setup(), last: () => onValue.mock.lastCall?.[0] as number | undefined }
}

test('every text that is valid is the value, in any unit, and is formatted when the field is left', async () => {
  const { input, user, last } = field()
  await user.clear(input)
  await user.type(input, '13.6 kg')
  expect(last()).toBeCloseTo(13.6 * 9.80665, 6)
  await user.tab()
  expect(input.value).toBe('30 lb')
})

test('a text that is not valid says why and restores the value from before the typing; Escape does too', async () => {
  const { input, user, last } = field()
  await user.clear(input)
  await user.type(input, '40')
  expect(last()).toBeCloseTo(40 * LB, 6)
  await user.type(input, 'x')
  expect(last()).toBeCloseTo(30 * LB, 6)
  expect(input.getAttribute('aria-invalid')).toBe('true')
  expect(screen.getByRole('alert').textContent).toContain('“x” is not a unit of strength')
  await user.keyboard('{Escape}')
  expect(input.value).toBe('30 lb')
  expect(screen.queryByRole('alert')).toBeNull()
})

test('a value that fails its check is not set', async () => {
  const { input, user, onValue } = field()
  await user.clear(input)
  await user.paste('900 lb')
  expect(screen.getByRole('alert').textContent).toBe('Too large.')
  expect(onValue).not.toHaveBeenCalled()
})

test('an emptied optional field is cleared when it is left, a required one is not', async () => {
  const optional = field(true)
  await optional.user.clear(optional.input)
  expect(optional.onValue).not.toHaveBeenCalled()
  await optional.user.tab()
  expect(optional.onValue).toHaveBeenLastCalledWith(undefined)
  cleanup()
  const required = field()
  await required.user.clear(required.input)
  await required.user.tab()
  expect(required.onValue).not.toHaveBeenCalled()
  expect(required.input.getAttribute('aria-invalid')).toBe('true')
})

test('arrow keys and buttons step the value', async () => {
  const { input, user, last } = field()
  await user.click(input)
  await user.keyboard('{ArrowUp}')
  expect(last()).toBeCloseTo(40 * LB, 6)
  await user.click(screen.getByRole('button', { name: 'strength: one step down' }))
  expect(last()).toBeCloseTo(30 * LB, 6)
})

test('on a touch screen the unit is chosen beside the number, which stays as it is written', async () => {
  vi.resetModules()
  vi.stubGlobal('matchMedia', (query: string) => ({
    matches: query.includes('coarse'),
    addEventListener: () => {},
    removeEventListener: () => {},
  }))
  const [{ QuantityField: TouchField }, { PreferencesProvider: Provider }] = await Promise.all([
    import('./QuantityField.tsx'),
    import('../settings/preferences.tsx'),
  ])
  vi.unstubAllGlobals()
  const onChange = vi.fn()
  const user = userEvent.setup()
  render(
    <Provider>
      <TouchField label="strength" quantity="strength" valueSi={30 * LB} onChange={onChange} sureWithoutUnit={() => false} />
    </Provider>,
  )
  const input = screen.getByLabelText<HTMLInputElement>('strength')
  expect([input.value, input.inputMode]).toEqual(['30', 'decimal'])
  await user.selectOptions(screen.getByLabelText('strength: unit'), 'kg')
  expect(onChange.mock.lastCall?.[0]).toBeCloseTo(30 * 9.80665, 6)
  await user.clear(input)
  await user.type(input, '12')
  expect(onChange.mock.lastCall?.[0]).toBeCloseTo(12 * 9.80665, 6)
})
