import { entrance } from './entrance';
import { epoch, epochHeader } from './epoch';
import type { Sauce } from './types';
import { newKey } from './newKey';
import { say } from './sentences';

/** The server answered, and said why not. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly current: Sauce | null,
    /** Of the kitchen as it is now, where what was written was meant for an earlier one. */
    readonly epoch: number | null = null,
  ) {
    super(message);
  }
}

/** The server did not answer at all. */
export class Unreachable extends Error {}

/** Headers of what was written for an epoch that may be past. */
export const writtenFor = (written: number | null): Record<string, string> =>
  written === null ? {} : { [epochHeader]: String(written) };

/** A request that knows its body as it was written: so it can be sent again, and none is copied as a stream to be kept. */
export class KitchenRequest extends Request {
  readonly written: BodyInit | null;

  constructor(address: RequestInfo | URL, init?: RequestInit) {
    super(address, init);
    this.written = init?.body ?? null;
  }

  /** What is fetched, as often as it takes. */
  send(): Promise<Response> {
    const { url, method, headers, signal, cache, written: body } = this;
    return fetch(url, { method, headers, signal, cache, body });
  }
}

const keyHeader = 'Idempotency-Key';
/** So long the same that is asked is the same thing again: its answer got lost, and the cook asks once more. */
const sameFor = 120_000;
/** What happened at the stove has its own key, and a sauce its revision. */
const hasItsOwn = /\/cook$/;

/** What was asked and not answered, and the key that it was sent under. */
const unanswered = new Map<string, { readonly key: string; readonly at: number }>();

/** Names what is stored by a key: sent once more because the answer got lost, it is stored once. */
function keyed(request: Request): string | null {
  const isAdding = request.method === 'POST' || request.method === 'DELETE';
  if (!isAdding || !(request instanceof KitchenRequest) || hasItsOwn.test(request.url)) return null;
  if (request.written !== null && typeof request.written !== 'string') return null;
  const asked = `${request.method} ${request.url}\n${request.written ?? ''}`;
  const before = unanswered.get(asked);
  const key = before !== undefined && Date.now() - before.at < sameFor ? before.key : newKey();
  unanswered.set(asked, { key, at: Date.now() });
  request.headers.set(keyHeader, key);
  return asked;
}

/** Fetches from the kitchen: names the epoch of what is written, waits at the entrance, and throws what is refused. */
export async function fetchFromKitchen(request: Request): Promise<Response> {
  const known = epoch.known();
  if (request.method !== 'GET' && known !== null && !request.headers.has(epochHeader)) {
    request.headers.set(epochHeader, String(known));
  }
  const asked = keyed(request);
  let response: Response;
  try {
    response = await (request instanceof KitchenRequest ? request.send() : fetch(request));
  } catch (fault) {
    if (fault instanceof DOMException && fault.name === 'AbortError') throw fault;
    throw new Unreachable(say.theKitchenServerDoesNot);
  }
  epoch.heard(response);
  if (asked !== null && response.status < 500) unanswered.delete(asked);
  if (response.status === 401) {
    await entrance.opened();
    return fetchFromKitchen(request);
  }
  if (response.ok) return response;
  const said = (await response.json().catch(() => null)) as {
    message?: string;
    current?: Sauce | null;
    epoch?: number;
  } | null;
  throw new Refusal(
    response.status,
    said?.message ?? say.theKitchenServerCouldNot,
    said?.current ?? null,
    said?.epoch ?? null,
  );
}
