import { cleanup, render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { afterEach, expect, test, vi } from 'vitest'
import { useShortcuts } from './useShortcuts.ts'

afterEach(cleanup)

function opened(more: { dirty?: boolean; saving?: boolean } = {}) {
  const bench = { dirty: true, saving: false, save: vi.fn(), undo: vi.fn(), redo: vi.fn(), ...more }
  const Page = () => {
    useShortcuts(bench)
    return (
      <>
        <input aria-label="name" />
        <input type="checkbox" aria-label="wet" />
      </>
    )
  }
  render(<Page />)
  return { bench, user: userEvent.setup() }
}

test('outside of a text field Ctrl+Z undoes on the bench, Ctrl+Y and Ctrl+Shift+Z do it again', async () => {
  const { bench, user } = opened()
  await user.click(screen.getByLabelText('wet'))
  await user.keyboard('{Control>}z{/Control}')
  expect([bench.undo.mock.calls.length, bench.redo.mock.calls.length]).toEqual([1, 0])
  await user.keyboard('{Control>}y{/Control}{Control>}{Shift>}z{/Shift}{/Control}')
  expect([bench.undo.mock.calls.length, bench.redo.mock.calls.length]).toEqual([1, 2])
})

test('in a text field Ctrl+Z belongs to the text, and Ctrl+S saves all the same', async () => {
  const { bench, user } = opened()
  await user.click(screen.getByLabelText('name'))
  await user.keyboard('{Control>}zys{/Control}')
  expect([bench.undo, bench.redo, bench.save].map(({ mock }) => mock.calls.length)).toEqual([0, 0, 1])
})

test('Ctrl+S saves once, and not where nothing changed', async () => {
  for (const more of [{ saving: true }, { dirty: false }]) {
    const { bench, user } = opened(more)
    await user.keyboard('{Control>}s{/Control}')
    expect(bench.save).not.toHaveBeenCalled()
    cleanup()
  }
})
