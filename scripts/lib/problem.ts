/** Something the person at the keyboard can put right: one sentence, no stack. */
export class Problem extends Error {}

/** Runs a command's main function; a Problem ends it with its sentence, anything else with its stack. */
export async function runMain(main: () => Promise<void>): Promise<void> {
  try {
    await main()
  } catch (error) {
    console.error(error instanceof Problem ? error.message : error)
    process.exit(1)
  }
}
