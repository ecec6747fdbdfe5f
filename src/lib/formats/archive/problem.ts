/** A file that is no archive of a bench, or only half of one, in a sentence that says what to do. */
export class ArchiveProblem extends Error {
  override name = 'ArchiveProblem';
}
