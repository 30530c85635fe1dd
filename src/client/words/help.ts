import { matchPath } from 'react-router'

/** Keys that do something, in the words of a keyboard. */
export type Shortcut = { keys: string; does: string }
/** What a screen is for and how to begin: at most 120 words. */
export type ScreenHelp = { path: string; title: string; text: readonly string[]; shortcuts?: readonly Shortcut[] }

export const EVERYWHERE: readonly Shortcut[] = [
  { keys: '?', does: 'open this help' },
  { keys: 'Tab', does: 'go to the next control' },
  { keys: 'Esc', does: 'close a panel' },
]

const STEPS: Shortcut = { keys: '↑ ↓', does: 'in a field with a unit, step the value' }

/** The help of every screen, by its address. */
export const HELP: readonly ScreenHelp[] = [
  {
    path: '/traces',
    title: 'Traces',
    text: [
      'Each card is a trace with its drawing and its six verdicts: cast, settle, take, run, snag and hand.',
      'Search by name, family, mark or tag. Tick two traces to compare them.',
      'New trace drafts one for a fish and a mark. Import reads a trace file.',
    ],
  },
  {
    path: '/traces/new',
    title: 'New trace',
    text: [
      'Say the fish, the mark and the outfit. Leave out what you do not know.',
      'Families that suit come first, each with its reason. The draft and its verdicts follow every choice.',
      'For a trace of your own, choose “own design” and add parts in words on the bench.',
    ],
  },
  {
    path: '/traces/:id',
    title: 'The bench',
    text: [
      'The drawing shows every link from the reel to the hooks, its strength below. The red one breaks first most often.',
      'Choose a part in the drawing to change it. Add part understands words, such as “leader 6 m 60 lb, swivel 4”.',
      'Findings offer tested remedies. Why shows how each figure was calculated.',
      'Nothing is stored until you save.',
    ],
    shortcuts: [
      { keys: '← →', does: 'in the drawing, choose the next part' },
      { keys: 'Insert', does: 'add a part after it' },
      { keys: 'Delete', does: 'remove it' },
      { keys: 'Shift ← →', does: 'move it along the trace' },
      STEPS,
      { keys: 'Ctrl S', does: 'save' },
      { keys: 'Ctrl Z', does: 'undo' },
      { keys: 'Ctrl Y', does: 'redo' },
    ],
  },
  {
    path: '/traces/:id/build',
    title: 'Build sheet',
    text: [
      'What to cut, the parts to lay out, and the steps in order. Cut lengths include what each knot uses.',
      'Set how many traces you tie. Lay out says what the box has, what is short, and what a substitute does.',
      'Start a batch to tick cuts and steps together with others, and to finish traces. Card makes a page as PDF.',
      'The sheet is of the trace as it is on the bench. Unsaved changes are marked.',
    ],
  },
  {
    path: '/trips',
    title: 'Trips',
    text: ['Plan a trip: day, marks, rods. On the water, Fish logs what happens by one touch.'],
  },
  {
    path: '/learn',
    title: 'What your trips teach',
    text: [
      'The largest surprises come first: what broke, held, was lost or was caught more or less often than predicted or elsewhere. Each has its numbers, its trips and one thing to do.',
      'The six pages have all of it. Bars are 90 % ranges: few events make long bars.',
      'When you correct a log, the lessons change. Predictions do not: they are stored with each event.',
    ],
  },
  {
    path: '/learn/:id',
    title: 'What your trips teach',
    text: [
      'A bar is the 90 % range, its dot the best estimate, and the tick the prediction.',
      'Red stands out. Open “in … trips” for the logs that it comes from.',
    ],
  },
  {
    path: '/trips/:id',
    title: 'A trip',
    text: [
      'When, where, who and with which rods. Proposed has the tide, the traces that suit, the bait to take and what to take care of.',
      'Tick the packing list. Fish opens the screen for the water.',
    ],
  },
  {
    path: '/trips/:id/fish',
    title: 'On the water',
    text: [
      'Touch what happens on the chosen rod. Nothing asks for typing, and each touch can be undone.',
      'Without a network everything is kept in this browser, and sent in order later. The corner says what waits.',
      'A closed page cannot wake the phone: keep it open for the next change.',
    ],
  },
  {
    path: '/tied',
    title: 'Tied traces',
    text: [
      'Every trace on a winder: its age, where it is kept, and what became of it.',
      'Old traces and those that were used hard are marked. Look at their knots before you fish them.',
      'Labels print a code for each. A phone that reads it opens the card of that trace.',
    ],
  },
  {
    path: '/batches',
    title: 'Batches',
    text: [
      'Several traces of one design, tied together. Start one on the build sheet of a trace.',
      'Everyone sees the ticks of the others. You can stop and go on another day.',
    ],
  },
  {
    path: '/shopping',
    title: 'Shopping',
    text: [
      'What to buy in whole packs: for batches, for spares, and to keep the minimum of each item.',
      'Press Bought when you have it, and it is in the box.',
    ],
  },
  {
    path: '/t/:code',
    title: 'A tied trace',
    text: ['What is on this winder, and what it holds. Press a state when it goes on a rod or is lost.'],
  },
  {
    path: '/compare',
    title: 'Compare',
    text: ['Traces side by side: verdicts, figures and every difference of their parts and conditions.'],
  },
  {
    path: '/water',
    title: 'Water',
    text: [
      'The tide and the current at a mark on one day, and the sinker that holds at each time.',
      'Move the time slider to see the line in the water. Tell what held and what dragged; the next plan learns from it.',
      'Currents and tides are estimates. Trust your own observations and the local tide table first.',
    ],
  },
  {
    path: '/water/marks',
    title: 'Marks',
    text: ['Places that you fish, each with its depth, bottom, current and port. Import reads waypoints from a GPX file.'],
  },
  {
    path: '/water/marks/:id',
    title: 'A mark',
    text: [
      'The plan needs the depth, the bottom, how you fish and how fast the current runs.',
      'High and low waters can come from a port or from a table in a CSV file.',
    ],
    shortcuts: [STEPS],
  },
  {
    path: '/gear',
    title: 'Outfits',
    text: [
      'An outfit is a rod, a reel and the lines on it. Every trace is judged on one.',
      'Enter four values from the rod, the reel and the spool, or start from a usual outfit.',
    ],
  },
  {
    path: '/gear/box',
    title: 'The box',
    text: [
      'The spools, hooks, sinkers and hardware that you own. The sinker plan, the drafts and batches use them.',
      'On hand is what is there. Press + when you buy one and − when you use one. “Not counted” is not zero.',
      'Open an item for its spools, its minimum, its cost and every movement, each of which can be undone.',
    ],
  },
  {
    path: '/gear/box/count',
    title: 'Count the box',
    text: [
      'Type what you find, kind by kind. What you type is kept until you write it.',
      'The differences are shown before anything changes.',
    ],
    shortcuts: [{ keys: 'Enter', does: 'go to the next item' }],
  },
  { path: '/gear/sizes', title: 'Sizes', text: ['Hooks and swivels at true size, once the scale of your screen is set.'] },
  {
    path: '/gear/outfits/:id',
    title: 'An outfit',
    text: ['Values from the rod, the reel and each line. An empty field takes its usual value, which it shows.'],
    shortcuts: [STEPS],
  },
  {
    path: '/fish',
    title: 'Fish',
    text: ['What you fish for: size, teeth, mouth and how it takes and fights. Leaders, hooks and drags follow from it.'],
  },
  {
    path: '/knots',
    title: 'Knots',
    text: [
      'Choose what you join and in which lines. The best knots come first, with the strength that they keep.',
      'Your own pull tests replace the usual figures.',
    ],
  },
  {
    path: '/knots/:id',
    title: 'A knot',
    text: ['How to tie it, step by step, and what it keeps in each line. Step through the drawing with its buttons.'],
  },
  {
    path: '/knots/test',
    title: 'Pull test',
    text: [
      'Tie the knot, hook the line on the scale and pull slowly until it breaks. Say where it broke.',
      'Wear glasses and gloves, and keep others away from the line.',
    ],
  },
  {
    path: '/knots/pulls',
    title: 'Pull tests',
    text: ['Every pull test, with its load and where it broke. Export and import them as a CSV file.'],
  },
  {
    path: '/glossary',
    title: 'Glossary',
    text: [
      'The words of the trade, each with what it means and, where it helps, a drawing.',
      'On other pages a dotted word opens its meaning: click it, or go to it with Tab and press Enter.',
    ],
  },
  {
    path: '/settings',
    title: 'Settings',
    text: ['Units, light, rule sets, and the scale of your screen. Rules change: check the local ones before you fish.'],
  },
]

/** The help of an address: one written for it alone before one for many. */
export const helpFor = (pathname: string): ScreenHelp | undefined =>
  HELP.find(({ path }) => path === pathname) ?? HELP.find(({ path }) => matchPath(path, pathname) !== null)
