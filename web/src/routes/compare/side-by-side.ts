/** Two set-ups drawn at one scale, so that what differs on the drawings differs in the world. */
import { answerTo, ApiError, ask, client, type Prediction, type Setup } from '$lib/api/client';

export interface Side {
  setup: Setup;
  answer: Prediction;
}

const NARROW = 900;
/** Set-ups that stand beside each other at most. */
export const MOST = 4;

function sheet(wide: number, count: number): Record<string, string> {
  const width = wide < NARROW ? Math.max(320, wide - 32) : Math.max(280, Math.floor((wide - 32) / count) - 16);
  return { scene: 'true', width: String(width), height: '436', horizon: '360', clear: '0' };
}

/** Every side; throws ApiError, also where they are not of one kind. */
export async function sideBySide(
  department: string,
  ids: number[],
  where: Record<string, string>,
  wide: number,
  signal: AbortSignal,
): Promise<Side[]> {
  const load = (setup: number): Promise<Setup> => {
    const params = { path: { department, setup } };
    return ask(client.GET('/api/departments/{department}/setups/{setup}', { params, signal }));
  };
  const setups = await Promise.all(ids.map(load));
  if (setups.some((one) => one.demonstration !== setups[0]?.demonstration)) {
    const detail = 'These are not of one kind: choose set-ups of the same demonstration.';
    throw new ApiError({ code: 'unlike', status: 422, detail, path: '', extra: {} });
  }
  const drawn = (setup: Setup, window: object | null): Promise<Prediction> => {
    const query = { ...sheet(wide, ids.length), ...where, ...(window ? { window: JSON.stringify(window) } : {}) };
    return answerTo<Prediction>('predict', setup.document, query, signal);
  };
  const fitted = await Promise.all(setups.map((setup) => drawn(setup, null)));
  const scale = Math.min(...fitted.map((answer) => answer.scene?.window?.scale ?? Infinity));
  const answers = await Promise.all(
    setups.map((setup, i) => drawn(setup, { ...fitted[i]?.scene?.window, scale, cut: null })),
  );
  return setups.flatMap((setup, i) => (answers[i] ? [{ setup, answer: answers[i] }] : []));
}
