import { assemble, baitedHook, type Family, hardware, joined, labelAtMostN, leaderPiece, sinker } from './draft.ts'

const HOOK_LENGTH_M = 0.9
const SINKER_ABOVE_SWIVEL_M = 0.3

/** The sinker runs on the leader and bears on a bead above the swivel; the fish takes line without lifting it. */
export const runningLedger: Family = {
  id: 'runningLedger',
  name: 'running ledger',
  about: 'The sinker slides on the leader, so a fish can take the bait without lifting it. For shy fish on clean ground.',
  usual: { name: 'Running ledger', sinkerKg: 0.09, hookSize: '2/0', hookPattern: 'circle', bait: 'sandeel', snoods: 1 },
  draft(wishes, outfit, conditions) {
    const leader = leaderPiece(outfit, wishes.sinkerKg, conditions)
    const hookLengthN = labelAtMostN(leader.strengthN * 0.8)
    const sinkerAtM = leader.lengthM - Math.min(SINKER_ABOVE_SWIVEL_M, leader.lengthM / 2)
    return assemble(this.id, wishes, [
      leader,
      sinker(wishes.sinkerKg, conditions, { how: 'sliding', on: leader.id, atM: sinkerAtM, stops: { below: 'swivel' } }),
      {
        id: 'bead',
        role: 'hardware',
        type: 'bead',
        attach: { how: 'sliding', on: leader.id, atM: leader.lengthM, stops: { below: 'swivel' } },
      },
      hardware('swivel', 'swivel', leader.strengthN, joined(leader.id, 'uni')),
      {
        id: 'hook-length',
        role: 'snood',
        material: 'fluoro',
        strengthN: hookLengthN,
        lengthM: HOOK_LENGTH_M,
        attach: joined('swivel', 'uni'),
      },
      ...baitedHook('hook', wishes, 'hook-length'),
    ])
  },
}
