import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { cleanup, render, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { createMemoryRouter, RouterProvider } from 'react-router'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { MemoryApi } from '../../../tests/fixtures/memoryApi.ts'
import type { Fish } from '../../core/documents/fish.ts'
import FishScreen from '../screens/fish/FishScreen.tsx'
import { PreferencesProvider } from '../settings/preferences.tsx'

const POLLACK: Fish = {
  formatVersion: 1,
  name: 'pollack',
  typicalMassKg: 2.5,
  typicalLengthM: 0.6,
  largeMassKg: 7,
  largeLengthM: 0.9,
  mouthWidthShare: 0.09,
  mouthHeightShare: 0.08,
  teeth: 'rasping',
  feeds: 'midwater',
  takes: 'sucks',
  fights: [],
  shakesCircles: false,
  lineShy: true,
  released: false,
}
const ID = '10000000-0000-4000-8000-000000000001'
const other = (i: number) => `20000000-0000-4000-8000-00000000000${i}`

let api: MemoryApi
beforeEach(() => {
  localStorage.clear()
  sessionStorage.clear()
  api = new MemoryApi()
  vi.stubGlobal('fetch', api.fetch)
})
afterEach(() => {
  cleanup()
  vi.unstubAllGlobals()
})

/** The list of fish with its form: the same frame, form and notes as every kind of document. */
function openFish() {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false }, mutations: { retry: false } } })
  const router = createMemoryRouter([{ path: '/', element: <FishScreen /> }])
  render(
    <PreferencesProvider>
      <QueryClientProvider client={client}>
        <RouterProvider router={router} />
      </QueryClientProvider>
    </PreferencesProvider>,
  )
  return userEvent.setup()
}
const dialog = () => within(screen.getByRole('dialog'))
const nameField = () => dialog().getByLabelText<HTMLInputElement>('name')
const edit = async (user: ReturnType<typeof userEvent.setup>) =>
  user.click(await screen.findByRole('button', { name: 'Edit pollack' }))

test('an empty list says what to do; one that cannot be loaded can be tried again', async () => {
  api.isOffline = true
  const user = openFish()
  await screen.findByText('The fish could not be loaded.')
  api.isOffline = false
  await user.click(screen.getByRole('button', { name: 'Try again' }))
  await screen.findByText('No fish yet')
})

test('a list is sorted and searched, and a row that cannot be read does not hide the others', async () => {
  for (const [i, name] of ['tope', 'conger', 'ling', 'gurnard', 'turbot', 'pollack'].entries())
    api.put('fish', other(i), { ...POLLACK, name })
  api.put('fish', ID, { ...POLLACK, name: 'strange', teeth: 'square' })
  const user = openFish()
  await screen.findByText('6 fish')
  expect(screen.getAllByRole('rowheader').map(({ textContent }) => textContent)).toEqual([
    'conger',
    'gurnard',
    'ling',
    'pollack',
    'tope',
    'turbot',
  ])
  expect(screen.getByRole('list', { name: 'Cannot be read' }).textContent).toContain('strange')
  await user.type(screen.getByRole('searchbox'), 'LIN')
  expect(screen.getAllByRole('rowheader').map(({ textContent }) => textContent)).toEqual(['ling'])
  expect(screen.getByText('1 of 6')).toBeTruthy()
})

test('a deleted document is in the trash and comes back', async () => {
  api.put('fish', ID, POLLACK)
  const user = openFish()
  await user.click(await screen.findByRole('button', { name: 'Delete pollack' }))
  await screen.findByText('No fish yet')
  await user.click(screen.getByRole('button', { name: 'Trash' }))
  await user.click(await screen.findByRole('button', { name: 'Restore pollack' }))
  await screen.findByText('The trash is empty')
  await user.click(screen.getByRole('button', { name: 'Back to fish' }))
  await screen.findByRole('button', { name: 'Edit pollack' })
})

test('an invalid form shows the error and saves nothing', async () => {
  api.put('fish', ID, POLLACK)
  const user = openFish()
  await edit(user)
  await user.clear(nameField())
  await user.click(dialog().getByRole('button', { name: 'Save' }))
  expect(dialog().getByRole('alert').textContent).toBe('The fish needs a name. Nothing was saved.')
  expect(api.contentOf('fish', ID)).toEqual(POLLACK)
})

test('a save that fails keeps the form open with everything typed; a second try saves it', async () => {
  api.put('fish', ID, POLLACK)
  const user = openFish()
  await edit(user)
  await user.type(nameField(), ' of the ledge')
  api.isOffline = true
  await user.click(dialog().getByRole('button', { name: 'Save' }))
  expect((await dialog().findByRole('alert')).textContent).toContain('You are offline')
  expect(nameField().value).toBe('pollack of the ledge')
  api.isOffline = false
  await user.click(dialog().getByRole('button', { name: 'Save' }))
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull())
  expect(api.contentOf('fish', ID)).toMatchObject({ name: 'pollack of the ledge' })
})

test('closing the form keeps the unsaved changes, and they can be discarded', async () => {
  api.put('fish', ID, POLLACK)
  const user = openFish()
  await edit(user)
  await user.type(nameField(), '!')
  await user.keyboard('{Escape}')
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull())
  await edit(user)
  expect(nameField().value).toBe('pollack!')
  await user.click(dialog().getByRole('button', { name: 'Discard them' }))
  expect(nameField().value).toBe('pollack')
  await user.keyboard('{Escape}')
  await edit(user)
  expect(nameField().value).toBe('pollack')
})

test.each([
  ['Save mine over it', { typicalMassKg: 2.5, name: 'pollack, mine' }],
  ['Use the other version', { typicalMassKg: 4, name: 'pollack' }],
])('a version saved elsewhere is shown with its differences, and “%s” ends it', async (choice, expected) => {
  api.put('fish', ID, POLLACK)
  const user = openFish()
  await edit(user)
  await user.type(nameField(), ', mine')
  api.put('fish', ID, { ...POLLACK, typicalMassKg: 4 })
  await user.click(dialog().getByRole('button', { name: 'Save' }))
  const note = await dialog().findByRole('alert')
  expect(note.textContent).toContain('name pollack → pollack, mine')
  expect(note.textContent).toContain('usual weight 4 kg → 2.5 kg')
  await user.click(within(note).getByRole('button', { name: choice }))
  if (choice === 'Use the other version') {
    expect(nameField().value).toBe('pollack')
    await user.click(dialog().getByRole('button', { name: 'Save' }))
  }
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull())
  expect(api.contentOf('fish', ID)).toMatchObject(expected)
})

test('unsaved changes that are gone on with are saved onto the version that they were made from', async () => {
  api.put('fish', ID, POLLACK)
  const user = openFish()
  await edit(user)
  await user.type(nameField(), ', mine')
  await user.keyboard('{Escape}')
  cleanup()
  api.put('fish', ID, { ...POLLACK, typicalMassKg: 4 })
  const later = openFish()
  await edit(later)
  expect(nameField().value).toBe('pollack, mine')
  await later.click(dialog().getByRole('button', { name: 'Save' }))
  expect((await dialog().findByRole('alert')).textContent).toContain('usual weight 4 kg → 2.5 kg')
  expect(api.contentOf('fish', ID)).toMatchObject({ name: 'pollack', typicalMassKg: 4 })
})

test('a form that is only looked at leaves no unsaved changes', async () => {
  api.put('fish', ID, POLLACK)
  const user = openFish()
  await edit(user)
  await user.keyboard('{Escape}')
  await edit(user)
  expect(dialog().queryByRole('button', { name: 'Discard them' })).toBeNull()
})
