import { type Options, rateLimit } from 'express-rate-limit';
import { httpError } from '../http/errors';

/** Counts requests by address, and answers whoever asks too much with a sentence. */
export const limited = (
  message: string,
  options: Partial<Pick<Options, 'windowMs' | 'limit' | 'skipSuccessfulRequests'>>,
) =>
  rateLimit({
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    // A server in between is told apart by its headers, and never trusted with an address.
    validate: { xForwardedForHeader: false, forwardedHeader: false },
    handler: () => {
      throw httpError(429, 'too-many', message, 'the same a little later');
    },
    ...options,
  });
