import { entrance } from '../features/auth/entrance';
import { epoch, epochHeader } from './epoch';
import type { Sauce } from './types';
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

/** Fetches from the kitchen: names the epoch of what is written, waits at the entrance, and throws what is refused. */
export async function fetchFromKitchen(request: Request): Promise<Response> {
  const known = epoch.known();
  if (request.method !== 'GET' && known !== null && !request.headers.has(epochHeader)) {
    request.headers.set(epochHeader, String(known));
  }
  let response: Response;
  try {
    response = await (request instanceof KitchenRequest ? request.send() : fetch(request));
  } catch (fault) {
    if (fault instanceof DOMException && fault.name === 'AbortError') throw fault;
    throw new Unreachable(say.theKitchenServerDoesNot);
  }
  epoch.heard(response);
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
