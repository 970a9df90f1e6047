/** Why a backup could not be made or read, in a sentence for whoever looks after the server. */
export class BackupProblem extends Error {
  constructor(readonly say: string) {
    super('backup problem');
    this.name = 'BackupProblem';
  }
}
