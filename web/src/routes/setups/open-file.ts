/** A file that a person opens: judged by the core's reader as it is, then taken to the bench. */
import { ApiError, send } from '$lib/api/client';
import type { Doc } from '$lib/document/paths';
import type { HandedOver } from '../bench/hand-over';

export interface ReadFile {
  opened: HandedOver | null;
  problem: string;
}

const LARGEST = 1_000_000;
/** A list with more items than there can be is not mended in a form: it would be longer than anybody reads. */
const TOO_MANY = 'count-out-of-range';

/** A set-up with a field to mend still opens, so that it can be mended; what is no set-up is said to be none. */
export async function readSetupFile(file: File): Promise<ReadFile> {
  if (file.size > LARGEST) return { opened: null, problem: 'It is larger than 1 MB.' };
  const bytes = await file.arrayBuffer();
  try {
    await send('predict', bytes, {});
  } catch (error) {
    if (!(error instanceof ApiError)) throw error;
    const path = error.problem.path ?? '';
    if (!/^(setup|room)\b/.test(path) || error.problem.code === 'malformed' || error.problem.extra?.case === TOO_MANY)
      return { opened: null, problem: `${path ? `${path}: ` : ''}${error.message}.` };
  }
  const name = file.name.replace(/(\.setup)?\.json$/i, '').replaceAll(/[-_]+/g, ' ');
  return { opened: { name, document: JSON.parse(new TextDecoder().decode(bytes)) as Doc }, problem: '' };
}
