/** What is wanted, as it stands in the address, so that it can be shared. */
export interface Wish {
  search: string;
  idea: string;
  minutes: number;
  preparing: number;
  age: number;
  sink: boolean;
  mess: string;
  risk: string;
  seen: number;
  like: string;
}

export const OPEN: Wish = {
  search: '',
  idea: '',
  minutes: 0,
  preparing: 0,
  age: 0,
  sink: true,
  mess: '',
  risk: '',
  seen: 0,
  like: '',
};

/** The wish that an address carries; what it does not say is left open. */
export function wishOf(address: string): Wish {
  const query = new URLSearchParams(address);
  const number = (key: string) => Math.max(Number(query.get(key)) || 0, 0);
  return {
    search: query.get('search') ?? '',
    idea: query.get('idea') ?? '',
    minutes: number('minutes'),
    preparing: number('preparing'),
    age: number('age'),
    sink: query.get('sink') !== 'false',
    mess: query.get('mess') ?? '',
    risk: query.get('risk') ?? '',
    seen: number('seen'),
    like: query.get('like') ?? '',
  };
}

/** The part of a wish that says something, as an address carries it. */
export function addressOf(wish: Wish): string {
  const said = Object.entries(wish).filter(([key, value]) => value !== OPEN[key as keyof Wish]);
  return new URLSearchParams(said.map(([key, value]) => [key, String(value)])).toString();
}
