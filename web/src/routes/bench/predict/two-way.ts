/** One result over two inputs: the cells of a table, each a set-up of its own. */
import { answerTo, type ApiError, type Prediction, type Result } from '$lib/api/client';
import { put, type Doc } from '$lib/document/paths';
import { at } from '$lib/results/results';
import { withUnit } from '$lib/units/format';

/** Values of one input in a table at most. */
export const MOST = 6;

export interface Cell {
  result: Result | null;
  state: string;
  /** Why there is no answer; empty where there is one. */
  refused: string;
}

/** Values as typed, with semicolons between them; a bare number takes the unit shown. */
export function valuesOf(text: string, unit: string): string[] {
  return text
    .split(';')
    .map((one) => one.trim())
    .filter((one) => one !== '')
    .slice(0, MOST)
    .map((one) => withUnit(one, unit));
}

interface Asked {
  document: Doc;
  where: Record<string, string>;
  result: string;
  rows: { path: string; values: string[] };
  columns: { path: string; values: string[] };
}

/** The table, row by row; a combination that is refused says so in its cell. */
export function twoWay({ document, where, result, rows, columns }: Asked, signal: AbortSignal): Promise<Cell[][]> {
  const cell = async (row: string, column: string): Promise<Cell> => {
    const body = put(put(document, rows.path, row), columns.path, column);
    try {
      const answer = await answerTo<Prediction>('predict', JSON.stringify(body), where, signal);
      return { result: at(answer, result), state: answer.verdict.state, refused: '' };
    } catch (error) {
      const failure = error as ApiError;
      if (signal.aborted || failure.lost || failure.signedOut) throw error;
      return { result: null, state: '', refused: failure.message };
    }
  };
  return Promise.all(rows.values.map((row) => Promise.all(columns.values.map((column) => cell(row, column)))));
}
