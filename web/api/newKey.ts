/** Drawn so that it works where the browser keeps the ready-made ones back: pages of the home network without encryption. */
export const newKey = (): string =>
  Array.from(crypto.getRandomValues(new Uint32Array(4)), (part) => part.toString(36)).join('-');
