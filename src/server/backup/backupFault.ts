/** Why a file cannot be restored, in a sentence; nothing of it was. */
export class BackupFault extends Error {}
