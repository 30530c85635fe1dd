/** The reason why a file cannot be restored. Nothing was changed. */
export class BackupFault extends Error {}
