import { writeTrials, type NamedTrial } from '../../core/formats/csv'
import { download } from './download'

/** Every bake as a table for a spreadsheet. */
export const downloadTrials = (trials: readonly NamedTrial[]): void =>
  download('bake-book.csv', 'text/csv;charset=utf-8', writeTrials(trials))
