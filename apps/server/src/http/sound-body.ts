import { InputError } from '@lean-clasp/core/basics';
import type { RequestHandler } from 'express';

/** Deeper bodies than any document of ours are not looked into. */
const MOST_DEEP = 60;
/** Numbers further from nothing than this measure nothing in a shop; instants in milliseconds lie below. */
const MOST_NUMBER = 1e16;

/** Refuses bodies with numbers that overflow what is done with them. */
export const refuseUnsound: RequestHandler = (request, _response, next) => {
  checkSound(request.body);
  next();
};

const [QUOTE, BACKSLASH, OPEN_LIST, CLOSE_LIST, OPEN_OBJECT, CLOSE_OBJECT] = [...'"\\[]{}'].map((sign) =>
  sign.charCodeAt(0),
);

/** Refuses bytes that nest too deep before they are read as JSON, which would cost more than the looking. */
export function refuseDeep(_request: unknown, _response: unknown, bytes: Buffer): void {
  let depth = 0;
  let quoted = false;
  for (let i = 0; i < bytes.length; i += 1) {
    const byte = bytes[i];
    if (quoted) {
      if (byte === BACKSLASH) i += 1;
      else if (byte === QUOTE) quoted = false;
    } else if (byte === QUOTE) quoted = true;
    else if (byte === OPEN_LIST || byte === OPEN_OBJECT) {
      depth += 1;
      if (depth > MOST_DEEP) {
        throw new InputError(
          'out-of-range',
          '',
          'The body is nested too deep.',
          `at most ${MOST_DEEP} levels`,
        );
      }
    } else if (byte === CLOSE_LIST || byte === CLOSE_OBJECT) depth -= 1;
  }
}

/** Looks at every number without recursion; how deep a body is has been looked at before it was read. */
function checkSound(body: unknown): void {
  const left: unknown[] = [body];
  while (left.length > 0) {
    const value = left.pop();
    if (typeof value === 'number' && !(Math.abs(value) <= MOST_NUMBER)) {
      throw new InputError('out-of-range', '', 'A number in the body is beyond all measure.', 'up to 1e16');
    }
    if (typeof value === 'object' && value !== null) {
      for (const inner of Object.values(value)) left.push(inner);
    }
  }
}
