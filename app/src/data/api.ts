/** Calls to the server: JSON in, and out what the call promises; problems as errors that carry their sentence. */
import type { ProblemBody } from '@fogata/contract/told';
import { api, readAnswer, type Call } from '@fogata/contract/client';
import { heard } from './house';
import { originHeaders } from './who';
import { api as words } from '@fogata/words/en/screens/data';

/** The server said no, with a sentence. */
export class Refused extends Error {
  constructor(
    message: string,
    readonly field: string | undefined,
    readonly status: number,
    readonly body: unknown = null,
  ) {
    super(message);
  }
}

/** The server could not be reached. */
export class NoServer extends Error {
  constructor() {
    super(words.noConnectionToTheFarms);
  }
}

/** Where the API is: the page's own origin on the web; on a device the address that was built in. */
const BASE = process.env['EXPO_PUBLIC_FOGATA_API'] ?? '';

/** Every answer of our own server says here which farm it is; a portal's page or a proxy's word does not. */
const OURS = 'x-fogata';
/** An answer that takes longer is not waited for. */
const LONGEST_MS = 60_000;

/** How often the passcode was given from this page. */
let opened = 0;

/** What was asked for, as it was promised. Throws `NoServer`, `Refused`, or `Strange` where page and server are of different versions. */
export async function request<A>(asked: Call<A>, body?: unknown, longestMs = LONGEST_MS): Promise<A> {
  const { method, address } = asked;
  const openedBefore = opened;
  let response: Response;
  try {
    response = await fetch(`${BASE}${address}`, {
      method,
      headers: {
        ...(method === 'GET' ? {} : originHeaders()),
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
      },
      body: body === undefined ? undefined : JSON.stringify(body),
      signal: AbortSignal.timeout(longestMs),
    });
  } catch {
    throw new NoServer();
  }
  // who answers for a server that cannot be reached is the same to the grower as none
  const farm = response.headers.get(OURS);
  if (farm === null) throw new NoServer();
  heard(farm);
  if (address === api.session.path && response.ok) opened += 1;
  // it was on its way as the passcode was given: what is said of before would shut what is open now
  if (response.status === 401 && opened > openedBefore) return request(asked, body, longestMs);
  if (response.status === 204) return readAnswer(asked, undefined);
  const json: unknown = await response.json().catch(() => null);
  if (json === null) throw new NoServer();
  if (!response.ok) {
    const problem = json as Partial<ProblemBody> | null;
    throw new Refused(problem?.detail ?? words.theServerRefusedThis, problem?.field, response.status, json);
  }
  return readAnswer(asked, json);
}
