// Part of npm run lint: every text that a user may read is plain English, in the words that the product uses.
import { execFileSync } from 'node:child_process'
import { ROOT } from '../../src/server/root.ts'
import { runMain } from '../lib/problem.ts'
import { type UserText, userTexts } from './strings.ts'

const MAX_WORDS_IN_A_SENTENCE = 25

/** Words that are not used, each with the one that is. */
const INSTEAD: readonly (readonly [RegExp, string])[] = [
  [/\bbin(s|ned)?\b/i, 'trash'],
  [/\b(take|takes|taken|took|taking) (it |them |one )?(in|up)\b(?! (slack|line))/i, 'import, use'],
  [/\btak(e|es|en) (it |them )?back\b/i, 'restore'],
  [/\bstreams?\b/i, 'current'],
  [/\b(sea ?)?bed\b/i, 'bottom'],
  [/\bgape\b/i, 'gap'],
  [/\b(goes|go|going) first\b/i, 'breaks first'],
  [/\bbears?\b/i, 'holds, carries'],
  [/\bbarred\b/i, 'not allowed'],
  [/\b(not said|not told|none in mind|not known|not asked about)\b/i, 'unknown'],
  [
    /\b(anew|whoever|hardly|so much|nothing but|laid over|set right|by itself|by themselves|to be had|as it stands)\b/i,
    'plain words',
  ],
  [/\bit (must|cannot) be (more|less) than nothing\b/i, 'Must be more than 0.'],
  [/\bnine times in ten\b/i, '90 % range'],
  [/\bset aside\b/i, 'ignore'],
  [/\bstrength left\b/i, 'condition'],
  [/\bown (figures|measures)\b/i, 'my measurements'],
  [/\bdoes not read\b|\bdo not hold\b(?= \.)/i, 'is not valid'],
  [/\bwound in\b|\bwinding in\b/i, 'retrieved'],
  [/\btied with\b/i, 'knot'],
  [/\brushe?s?\b/i, 'sudden run'],
  [/\bwants?\b/i, 'needs'],
  [/\blead\b(?! (sinkers?|is|metal))/i, 'sinker'],
  [/\bpulls? to settle\b|\ba pull\b(?! (for|on))/i, 'test'],
]

const DOUBLED = /\b(a|an|the) (a|an|the)\b/i
const A_BEFORE_VOWEL = /\ba ([aeio]\w*|8\b|11\b|18\b|u(?!ni|se|su|ti)\w*)/i
const A_BEFORE_VOWEL_BUT = /\ba (one|once|eu)\b/i
/** camelCase or snake_case inside a sentence. Names of file columns are allowed. */
const IDENTIFIER = /\b[a-z]+[A-Z]\w*\b|\b[a-z]+_[a-z]\w*\b/
const IDENTIFIER_BUT = /\b(iCalendar|kN|mPa|height_m|spring_kn|neap_kn|direction_deg|kHz|kB|freeGape|endLiftAreaM2|depthM)\b/g

const FORMULA = /[=∫√Σ]| [×/] |^[\w./-]+$|^\w+ as \w+$/

/** What is wrong with a text, as a sentence each. */
export function faultsOf(text: string): string[] {
  const found = (/^[a-z]+\.\w+$/.test(text) ? [] : INSTEAD).flatMap(([word, instead]) => {
    const [hit] = word.exec(text) ?? []
    return hit ? [`“${hit}”: use ${instead}`] : []
  })
  for (const sentence of text.split(/(?<=[.!?:;])\s+/)) {
    const words = sentence.split(/\s+/).filter((word) => /[\p{L}\d…]/u.test(word)).length
    if (words > MAX_WORDS_IN_A_SENTENCE && !FORMULA.test(text)) found.push(`${words} words in a sentence`)
  }
  const doubled = DOUBLED.exec(text)
  if (doubled) found.push(`“${doubled[0]}”`)
  const article = A_BEFORE_VOWEL.exec(text)
  if (article && !A_BEFORE_VOWEL_BUT.test(article[0])) found.push(`“${article[0]}”: an`)
  const identifier = FORMULA.test(text) ? null : IDENTIFIER.exec(text.replace(IDENTIFIER_BUT, ''))
  if (identifier) found.push(`“${identifier[0]}” is an identifier`)
  return found
}

/** Files whose strings are all for machines, or only ever typed by people. */
const NOT_READ =
  /\.test\.|\.d\.ts$|src\/server\/db\/|backupLines|observations\/ownFigures|src\/core\/calculations\/(reference|case)|standaloneSvg|edit\/synonyms|regional\/regionWords|styles/

await runMain(async () => {
  const files = execFileSync('git', ['ls-files', '-co', '--exclude-standard', 'src'], { cwd: ROOT, encoding: 'utf8' })
    .split('\n')
    .filter((file) => /\.tsx?$/.test(file) && !NOT_READ.test(file))
  const texts = files.flatMap((file): UserText[] => userTexts(file))
  let faults = 0
  for (const { file, line, text } of texts)
    for (const fault of faultsOf(text)) {
      faults += 1
      console.error(`${file}:${line}: ${fault}\n  ${text}`)
    }
  console.log(`${texts.length} texts read, ${faults} faults`)
  process.exitCode = faults === 0 && texts.length > 2_000 ? 0 : 1
})
