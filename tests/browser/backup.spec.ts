import { readFileSync } from 'node:fs'
import { expect, test } from './fixtures.ts'

test('everything is downloaded as one file, looked at and found to be here; a cut file says why and changes nothing', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/settings`)
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Download a backup' }).click()])
  const backup = readFileSync(await file.path())
  expect(file.suggestedFilename()).toBe('wide-reach-backup.jsonl')
  const choose = (buffer: Buffer) =>
    page.getByLabel('restore from a file').setInputFiles({ name: 'backup.jsonl', mimeType: 'application/x-ndjson', buffer })
  await choose(backup.subarray(0, backup.length / 2))
  await expect(page.getByRole('alert')).toContainText('Nothing was changed.')
  await choose(backup)
  await expect(page.getByText('You already have everything in this backup.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Restore this' })).toHaveCount(0)
})
