/** How a lesson stands, in one sentence, for the top of its page. */
import { clock, type Lesson } from './lesson';

export interface Told {
  /** As a verdict's mark has it. */
  state: 'works' | 'marginal' | 'fails';
  /** The sentence in pieces, every second one a number. */
  words: string[];
}

const inTheWay = (many: number): string => (many === 1 ? 'one thing is in the way' : `${many} things are in the way`);

export function lessonStands(lesson: Lesson): Told {
  const many = lesson.conflicts.length;
  if (lesson.rows.length === 0) return { state: 'marginal', words: ['Nothing is shown in it yet.'] };
  if (!lesson.slots || !lesson.begins)
    return { state: 'fails', words: [`It cannot be as it stands: ${inTheWay(many)}.`] };
  const bell = clock(lesson.starts_at, lesson.starts_at);
  const begin = clock(lesson.begins, lesson.starts_at);
  const state = many > 0 ? 'marginal' : 'works';
  const end = many > 0 ? `; ${inTheWay(many)}.` : '.';
  if (lesson.slots.length === 0) return { state, words: ['Nothing is to be done before the bell at ', bell, end] };
  return { state, words: ['Begin at ', begin, ', and all is ready at the bell, ', bell, end] };
}
