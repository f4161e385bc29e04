/** Whether what is shown comes from the server, or from what was kept of it. */
import { answers } from '$lib/api/answers';
import { KEPT_AT } from './kept-at';

class Kept {
  /** When the server told what is shown; empty where it answers. */
  since = $state('');

  /** Takes note of an answer; what was asked meanwhile is asked anew as soon as the server is back. */
  heard(response: Response): void {
    const at = response.headers.get(KEPT_AT);
    if (at !== null) {
      this.since = at;
    } else if (this.since !== '') {
      this.since = '';
      void answers.invalidateQueries();
    }
  }
}

export const kept = new Kept();
