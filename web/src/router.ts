/** The one place that knows the router: addresses of views, all below a department. */
import { createRouter } from 'sv-router';

export const { p, navigate, isActive, route } = createRouter({
  '/': () => import('./routes/setups/Setups.svelte'),
  '/d/:department': () => import('./routes/setups/Setups.svelte'),
  '/d/:department/today': () => import('./routes/today/Today.svelte'),
  '/d/:department/choose': () => import('./routes/choose/Choose.svelte'),
  '/d/:department/bench/:setup': () => import('./routes/bench/Bench.svelte'),
  '/d/:department/compare/:setup/:other': () => import('./routes/compare/Compare.svelte'),
  '/d/:department/log': () => import('./routes/log/Log.svelte'),
  '/d/:department/log/:run': () => import('./routes/log/RunPage.svelte'),
  '/d/:department/measuring': () => import('./routes/measuring/MeasuringPage.svelte'),
  '/d/:department/measuring/:aid': () => import('./routes/measuring/MeasuringPage.svelte'),
  '/d/:department/lessons': () => import('./routes/lessons/Lessons.svelte'),
  '/d/:department/lessons/:lesson': () => import('./routes/lessons/LessonPage.svelte'),
  '/d/:department/shelf': () => import('./routes/shelf/Shelf.svelte'),
  '/d/:department/shelf/:item': () => import('./routes/shelf/ItemPage.svelte'),
  '/d/:department/rooms': () => import('./routes/rooms/Rooms.svelte'),
  '/d/:department/liquids': () => import('./routes/liquids/Liquids.svelte'),
  '/d/:department/members': () => import('./routes/members/Members.svelte'),
  '*': () => import('./routes/Missing.svelte'),
});

/** The views that stand in the top line, in its order: a view that comes is a row here and an address above. */
export const NAVIGATION = [
  ['/d/:department/today', 'Today'],
  ['/d/:department', 'Set-ups'],
  ['/d/:department/choose', 'Choose'],
  ['/d/:department/lessons', 'Lessons'],
  ['/d/:department/shelf', 'Shelf'],
  ['/d/:department/measuring', 'Measuring'],
  ['/d/:department/log', 'Log'],
  ['/d/:department/rooms', 'Rooms'],
  ['/d/:department/liquids', 'Liquids'],
  ['/d/:department/members', 'Members'],
] as const;

/** A parameter of the address; empty where the view has none. */
export function parameter(name: 'department' | 'setup' | 'other' | 'run' | 'aid' | 'item' | 'lesson'): string {
  return (route.params as Partial<Record<string, string>>)[name] ?? '';
}
