/** Two set-ups drawn at one scale, so that what differs on the drawings differs in the world. */
import { ApiError, ask, client, type Prediction, type Setup } from '$lib/api/client';
import { answerTo } from '$lib/api/asked.svelte';

export interface Side {
  setup: Setup;
  answer: Prediction;
}

const NARROW = 900;

function sheet(wide: number): Record<string, string> {
  const width = wide < NARROW ? Math.max(320, wide - 32) : Math.floor(wide / 2) - 24;
  return { scene: 'true', width: String(width), height: '436', horizon: '360', clear: '0' };
}

/** Both sides; throws ApiError, also where the two are not of one kind. */
export async function sideBySide(
  department: string,
  ids: [number, number],
  where: Record<string, string>,
  wide: number,
  signal: AbortSignal,
): Promise<[Side, Side]> {
  const load = (setup: number): Promise<Setup> => {
    const params = { path: { department, setup } };
    return ask(client.GET('/api/departments/{department}/setups/{setup}', { params, signal }));
  };
  const [a, b] = await Promise.all([load(ids[0]), load(ids[1])]);
  if (a.demonstration !== b.demonstration) {
    const detail = 'These two are not of one kind: choose two set-ups of the same demonstration.';
    throw new ApiError({ code: 'unlike', status: 422, detail, path: '', extra: {} });
  }
  const drawn = (setup: Setup, window: object | null): Promise<Prediction> => {
    const query = { ...sheet(wide), ...where, ...(window ? { window: JSON.stringify(window) } : {}) };
    return answerTo<Prediction>('predict', setup.document, query, signal);
  };
  const fitted = await Promise.all([drawn(a, null), drawn(b, null)]);
  const scale = Math.min(...fitted.map((answer) => answer.scene?.window?.scale ?? Infinity));
  const atOneScale = (setup: Setup, answer: Prediction): Promise<Prediction> =>
    drawn(setup, { ...answer.scene?.window, scale, cut: null });
  const [first, second] = await Promise.all([atOneScale(a, fitted[0]), atOneScale(b, fitted[1])]);
  return [
    { setup: a, answer: first },
    { setup: b, answer: second },
  ];
}
