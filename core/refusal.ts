/** Codes of refusals that a client can act on. */
export type RefusalCode =
  'bad-request' | 'not-json' | 'unknown-verb' | 'empty-recipe' | 'too-large' | 'bad-file' | 'no-solver' | 'busy' | BackupRefusal

/** Why a backup is not read. */
export type BackupRefusal = 'not-backup' | 'altered' | 'newer-version'

/** A request that cannot be answered, in words a baker understands. */
export class Refusal extends Error {
  constructor(
    readonly code: RefusalCode,
    message: string,
    readonly path?: string,
    readonly line?: number,
  ) {
    super(message)
    this.name = 'Refusal'
  }
}

export interface ErrorBody {
  error: { code: string; message: string; path?: string; line?: number }
}

/** The public form of any error: refusals as they are, everything else as `internal` without a stack. */
export function errorBody(error: unknown): ErrorBody {
  if (error instanceof Refusal) {
    const { code, message, path, line } = error
    return { error: { code, message, ...(path !== undefined && { path }), ...(line !== undefined && { line }) } }
  }
  return { error: { code: 'internal', message: 'Something went wrong inside Kind Crumb. Nothing of yours was changed.' } }
}
