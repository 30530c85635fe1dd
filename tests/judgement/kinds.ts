import type { Content } from '../fixtures/judgedDrafts.ts'
import { inWords } from '../fixtures/judgedDrafts.ts'

/** A kind of trace that anglers tie, in the words of one text, and the roles of its parts from the reel. */
export type Kind = { name: string; text: string; parts: number; more?: Parameters<typeof inWords>[1] }

const worked = { fishes: 'worked' } as const

export const KINDS: readonly Kind[] = [
  {
    name: 'running ledger',
    text: 'leader 40 lb 1 m, ball 60 g, bead, swivel 4, hook length 30 lb 60 cm, circle 3/0, lugworm',
    parts: 7,
  },
  {
    name: 'running ledger on a sliding link',
    text: 'leader 40 lb 1 m (running link 90 cm, snap 6, bomb 90 g; bead 95 cm), swivel 6, hook length 30 lb 60 cm, J 1/0, dead prawn',
    parts: 9,
  },
  {
    name: 'captive sinker with linked hooks',
    text: 'leader 60 lb 6 m, swivel 4, body 60 lb 40 cm (pear 120 g), swivel 4, hook length 60 lb 50 cm, J 5/0, J 5/0, J 5/0, dead bait 100 g',
    parts: 10,
  },
  {
    name: 'linked hooks with a swivel between',
    text: 'leader 60 lb 6 m, swivel 4, body 60 lb 40 cm (pear 120 g), swivel 4, hook length 60 lb 50 cm, J 6/0, swivel 4, J 6/0, dead bait 100 g',
    parts: 10,
  },
  {
    name: 'three-way with a weak link and an end loop',
    text: 'leader 40 lb 2 m, three-way swivel 4 (weak link 15 lb 50 cm, loop, bomb 150 g; hook length 40 lb 1 m, circle 4/0, squid strip)',
    parts: 8,
  },
  {
    name: 'sinker girth-hitched to a loop',
    text: 'leader 40 lb 2 m, three-way swivel 4 (sinker line 20 lb 50 cm, loop, bomb 150 g girth hitch; hook length 40 lb 1 m, circle 4/0, squid strip)',
    parts: 8,
  },
  {
    name: 'jig and trailer',
    text: 'leader 40 lb 2 m, three-way swivel 2 (snood 40 lb 30 cm, snap 2, jig head 60 g 4/0, soft lure 20 g; hook length 40 lb 80 cm, J 3/0, dead strip trimmed)',
    parts: 9,
    more: worked,
  },
  {
    name: 'boom paternoster',
    text: 'leader 60 lb 6 m, swivel 4, body 60 lb 1.5 m (boom 40 cm, snood 25 lb 25 cm, J 1/0, lugworm; boom 1 m, snood 25 lb 25 cm, J 1/0, lugworm), snap 4, bomb 120 g',
    parts: 13,
  },
  {
    name: 'trapped swivels between crimps',
    text: 'leader 60 lb 6 m, swivel 4, body 60 lb 1.5 m (crimp 40 cm; bead 41 cm; swivel 42 cm, snood 25 lb 25 cm, J 1/0, lugworm; bead 43 cm; crimp 44 cm), snap 4, bomb 120 g',
    parts: 13,
  },
  {
    name: 'paternoster of dropper loops',
    text: 'leader 60 lb 6 m, swivel 4, body 60 lb 1.5 m (snood 25 lb 25 cm, J 1/0, lugworm; snood 25 lb 25 cm, J 1/0, lugworm), snap 4, bomb 120 g',
    parts: 13,
  },
  {
    name: 'three snoods on sliding stops',
    text: 'leader 60 lb 6 m, swivel 4, body 60 lb 2 m (rubber stop 40 cm; swivel 41 cm, snood 25 lb 20 cm, J 1, lugworm; rubber stop 42 cm; rubber stop 90 cm; swivel 91 cm, snood 25 lb 20 cm, J 1, lugworm; rubber stop 92 cm; rubber stop 140 cm; swivel 141 cm, snood 25 lb 20 cm, J 1, lugworm; rubber stop 142 cm), snap 4, bomb 120 g',
    parts: 23,
  },
  { name: 'pulley rig', text: 'leader 60 lb 6 m, pulley bead, line through the pulley', parts: 5 },
  {
    name: 'rotating trace',
    text: 'leader 60 lb 6 m, body 60 lb 1 m (stop knot 40 cm; bead 40 cm; swivel 41 cm, snood 25 lb 30 cm, J 1/0, lugworm; bead 42 cm; stop knot 43 cm in the line itself), bomb 120 g',
    parts: 11,
  },
  { name: 'free line', text: 'leader 20 lb 2 m, circle 2, live prawn', parts: 3 },
  { name: 'split shot', text: 'leader 15 lb 1.5 m (split shot 2 g 1 m), J 2, dead prawn', parts: 4 },
  { name: 'sinker against the hook', text: 'leader 30 lb 1 m, ball 20 g, J 3/0, dead strip trimmed', parts: 4 },
  {
    name: 'sinker pivoting on the hook',
    text: 'leader 30 lb 1 m, split ring 8 mm (ball 20 g; J 3/0, dead strip trimmed)',
    parts: 5,
  },
  { name: 'twin tag', text: 'leader 30 lb 3 m, loop (tag 15 cm, J 2, dead prawn; tag 15 cm, J 2, dead prawn)', parts: 8 },
  { name: 'a hook on the tag of the snell', text: 'leader 30 lb 1 m, J 3/0 snell (tag 8 cm, J 1/0)', parts: 4 },
  { name: 'quick-change live-bait leader', text: 'bead, snap swivel 2, leader 50 lb 1 m, circle 5/0, live bait 150 g', parts: 5 },
  { name: 'straight-tied lure', text: 'leader 20 lb 1 m, lure 28 g non-slip loop', parts: 2 },
  { name: 'lure on a split ring', text: 'leader 20 lb 1 m, split ring 6 mm, lure 28 g', parts: 3 },
  { name: 'live-bait leader', text: 'fluoro leader 50 lb 4 m, circle 5/0, live bait 150 g', parts: 3 },
  { name: 'bridled live bait', text: 'fluoro leader 50 lb 4 m, circle 6/0, live bait 200 g bridled', parts: 3 },
  { name: 'casting leader', text: 'leader 60 lb 60 cm, snap 4, lure 60 g', parts: 3 },
  {
    name: 'top shot and wind-on',
    text: 'double 1 m, loop cats paw, wind-on 60 lb 6 m, swivel 1/0 double-sleeve crimp, leader 60 lb 2 m, circle 8/0, live bait 400 g',
    parts: 7,
  },
  {
    name: 'bite trace of single-strand wire',
    text: 'leader 60 lb 2 m, swivel 4, bite trace wire #7 30 cm, J 6/0, dead bait 150 g',
    parts: 5,
  },
  {
    name: 'bite trace of cable',
    text: 'leader 60 lb 2 m, swivel 4, cable bite trace 60 lb 30 cm, J 6/0, dead bait 150 g',
    parts: 5,
  },
  {
    name: 'long shank against teeth',
    text: 'leader 60 lb 2 m, swivel 4, hook length 60 lb 60 cm, long shank 5/0, dead strip trimmed',
    parts: 5,
  },
  {
    name: 'linked hooks with opened eyes on mono',
    text: 'leader 60 lb 2 m, swivel 4, hook length 60 lb 60 cm, J 6/0, J 6/0 opened, J 6/0 opened, dead bait 150 g',
    parts: 7,
  },
  {
    name: 'wire between swivel and linked hooks',
    text: 'leader 60 lb 2 m, swivel 4, bite trace wire #7 30 cm, J 6/0, J 6/0, J 6/0, dead bait 150 g stitched',
    parts: 7,
  },
  {
    name: 'tandem troll',
    text: 'leader 60 lb 3 m, three-way swivel 2 (snood 60 lb 1 m, lure 200 g; snood 60 lb 2 m, lure 60 g)',
    parts: 6,
  },
  {
    name: 'deep drop',
    text: 'double 2 m, loop cats paw, wind-on 60 lb 30 m (loop 1 m, snap 4, sinker line 40 lb 1.4 m, bomb 3 kg; breakable band 15 m, light 50 g), circle 12/0, whole squid',
    parts: 11,
  },
  { name: 'kite bait', text: 'double 2 m (clip ring; float), swivel 1, leader 60 lb 4 m, circle 8/0, live bait 300 g', parts: 7 },
  {
    name: 'barrel sinker and light hook length',
    text: 'leader 40 lb 60 cm, barrel 60 g, swivel 1, snood 30 lb 60 cm, J 1, dead prawn',
    parts: 6,
  },
  {
    name: 'heavy bottom bait',
    text: 'double 80 cm, three-way swivel 1/0 girth hitch (snap 1/0, bomb 500 g; snood 100 lb 30 cm cord, circle 12/0, whole squid)',
    parts: 7,
  },
  { name: 'soft lure, free bullet', text: 'leader 30 lb 1 m, bullet 14 g, wide gap 3/0, soft lure 10 g', parts: 4, more: worked },
  {
    name: 'soft lure, pegged bullet',
    text: 'leader 30 lb 1 m (rubber stop 97 cm; bullet 14 g 98 cm), wide gap 3/0, soft lure 10 g',
    parts: 5,
    more: worked,
  },
  {
    name: 'soft lure, sliding weight and trace',
    text: 'leader 30 lb 40 cm, barrel 21 g, bead, swivel 5, hook length 25 lb 60 cm, wide gap 2/0, soft lure 8 g',
    parts: 7,
    more: worked,
  },
  {
    name: 'soft lure, weight and hook on linked rings',
    text: 'leader 30 lb 1 m, split ring 8 mm (ball 14 g; wide gap 3/0, soft lure 10 g)',
    parts: 5,
    more: worked,
  },
  {
    name: 'soft lure, slotted weight',
    text: 'leader 30 lb 1 m, cut bar 14 g, wide gap 3/0, soft lure 10 g',
    parts: 4,
    more: worked,
  },
  {
    name: 'soft lure, nail-weighted worm',
    text: 'leader 30 lb 1 m, worm 3/0, soft lure 10 g nail 2 g o-ring',
    parts: 3,
    more: worked,
  },
  { name: 'soft lure on a jig head', text: 'leader 30 lb 1 m, jig head 14 g 3/0, soft lure 10 g', parts: 3, more: worked },
  { name: 'drop shot', text: 'leader 30 lb 80 cm (hook 1/0 40 cm palomar, soft lure 4 g), pear 14 g', parts: 4, more: worked },
  {
    name: 'sliding float',
    text: 'stop knot, bead, float 30 g, bead, barrel 15 g, swivel 6, hook length 25 lb 80 cm, J 2, dead prawn',
    parts: 9,
  },
  {
    name: 'fixed float',
    text: 'leader 20 lb 3 m (rubber stop 60 cm; float 15 g 61 cm; rubber stop 62 cm; split shot 2 g 2.5 m), J 2, dead prawn',
    parts: 7,
  },
  {
    name: 'string of small dressed hooks',
    text: 'body 40 lb 2 m (snood 30 lb 5 cm, J 6; snood 30 lb 5 cm, J 6; snood 30 lb 5 cm, J 6; snood 30 lb 5 cm, J 6), pear 60 g',
    parts: 14,
  },
  {
    name: 'clipped-down surf trace',
    text: 'leader 60 lb 6 m, swivel 4, body 60 lb 1.5 m (stop knot 20 cm; swivel 21 cm, snood 30 lb 1 m, J 2/0, lugworm; stop knot 22 cm in the line; bait clip 1.4 m), bomb 150 g',
    parts: 11,
  },
  {
    name: 'two hooks in a fish, one sliding',
    text: 'leader 60 lb 6 m, swivel 4, hook length 40 lb 60 cm (J 2/0 54 cm), J 2/0, dead sandeel',
    parts: 6,
  },
]

export const contentOf = ({ text, more }: Kind): Content => inWords(text, more)
